import type { FoodRow } from '@open-larder/contract';
import { pricePerGram } from '@open-larder/core/stock';
import type { FoodSupply } from './shelves';

export interface Wasted {
  food: FoodRow;
  massG: number;
  /** The first day on which some of it is no longer good. */
  on: string;
  /** Minor units; null without a price. */
  costMinor: number | null;
}

/** Less than this share of what is there is not worth a line. */
const WORTH = 0.05;

/** What will be past its day before it is eaten, the next first. */
export function wastedOf(
  foods: readonly FoodRow[],
  supply: ReadonlyMap<string, FoodSupply>,
): Wasted[] {
  return foods
    .flatMap((food): Wasted[] => {
      const waste = supply.get(food.id)?.waste ?? [];
      const massG = waste.reduce((sum, one) => sum + one.massG, 0);
      const [first] = waste;
      if (!first || massG < WORTH * food.remainingG) return [];
      const price = pricePerGram(food.lots);
      return [{ food, massG, on: first.on, costMinor: price === null ? null : price * massG }];
    })
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
