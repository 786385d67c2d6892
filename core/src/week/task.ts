import type { Species } from '@open-larder/catalogue';
import type { FeedingModel } from '../round';
import type { FeedFood, FeedGroup, FeedTank } from '../zones';
import type { FeedingStyle } from './feedingStyle';

/** What of a species a week is judged by, beyond what a feeding needs. */
export type WeekTraits = FeedGroup['species'] &
  Pick<Species, 'proteinMin' | 'proteinMax' | 'zone' | 'nitrate'>;

export type WeekGroup = Omit<FeedGroup, 'species'> & { species: WeekTraits };

/** What the shelf holds of a food for one cycle of this tank. */
export interface ShelfFood {
  foodId: string;
  /** Grams that this tank may use: what there is, less what the other tanks' plans take. */
  stockG: number;
  /** Grams that cultures give on each day of the cycle, of what `stockG` says; missing without any. */
  liveG?: readonly number[];
  /** Minor units per gram; null where no lot has a price. */
  pricePerG: number | null;
  /** Grams that pass their last good day within the cycle. */
  expiringG: number;
}

/**
 * The most of a food that there is on each of some days of the cycle, from 0: of what lives, what is
 * given on the worst of them, and all that is in jars.
 */
export function maxOn({ stockG, liveG }: ShelfFood, days: readonly number[]): number {
  if (!liveG) return Infinity;
  const jarsG = stockG - liveG.reduce((sum, grams) => sum + grams, 0);
  return Math.max(0, jarsG) + Math.min(...days.map((day) => liveG[day] ?? 0));
}

/** A tank's plan with all that it is judged and balanced by. */
export interface WeekTask {
  /** The house with this tank and its groups alone; foods, units and moments are those of all. */
  house: FeedingModel;
  tank: FeedTank;
  groups: readonly WeekGroup[];
  foods: readonly FeedFood[];
  shelf: readonly ShelfFood[];
  feedingStyle: FeedingStyle;
  /** Minutes that the keeper has for this tank at a moment, by its id; missing if not said. */
  spareMin: Readonly<Record<string, number>>;
  /** First day of a cycle, YYYY-MM-DD. */
  first: string;
}

/** The tank of a task, as the house knows it. */
export const tankOf = (task: Pick<WeekTask, 'house'>) => {
  const [tank] = task.house.tanks;
  if (!tank) throw new RangeError('a week is of one tank; this house has none');
  return tank;
};

/** Days of one cycle. */
export const cycleOf = (task: Pick<WeekTask, 'house'>): number => tankOf(task).plan.cycle.days;
