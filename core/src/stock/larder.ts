import { addDays, type FeedingModel } from '../round';
import { daysLeft, type Waste } from './daysLeft';
import type { Lot } from './drawDown';
import { plannedUse } from './plannedUse';
import { pricePerGram } from './price';
import { purchaseOf, type Purchase } from './shopping';

/** A food on the shelf. */
export interface Stocked {
  id: string;
  lots: readonly (Lot & { amountG: number; costMinor: number | null; boughtOn: string })[];
  /** Days that it keeps once opened; null where that makes no difference. */
  openedDays: number | null;
  /** Days from wanting it until it is in the house: a delivery, a batch that must set, a shop near by. */
  leadDays: number;
  /** Days that it keeps before it is opened; null where that makes no difference. */
  sealedDays: number | null;
  /** It is bought loose: as much as is wanted, in no pack. */
  loose: boolean;
}

export interface FoodOutlook {
  foodId: string;
  /** Whole days; null where it lasts past the horizon or is not used. */
  days: number | null;
  usedPerWeekG: number;
  waste: Waste[];
  /** Minor units; null without a price. */
  costPerDayMinor: number | null;
  /** Grams in a usual pack: the one bought last; null where none was. */
  packG: number | null;
  buy: Purchase | null;
}

export interface GroupCost {
  groupId: string;
  /** Minor units a day at the prices of the lots. */
  costPerDayMinor: number;
  /** True where some of its foods have no price, so that it costs more than is said. */
  inPart: boolean;
}

export interface Larder {
  foods: FoodOutlook[];
  groups: GroupCost[];
}

interface Looking {
  /** First day, YYYY-MM-DD. */
  today: string;
  /** Days looked ahead, 1 or more. */
  horizon: number;
}

/**
 * The whole larder against the running plan: days left, waste, what to buy, and what it costs.
 * Linear in servings, and in lots times days.
 */
export function larderOf(
  house: FeedingModel,
  stock: readonly Stocked[],
  { today, horizon }: Looking,
): Larder {
  const use = plannedUse(house, today, horizon);
  const daily = new Map<string, number[]>();
  for (const { foodId, gramsOn } of use) {
    const sum = daily.get(foodId);
    if (sum) gramsOn.forEach((grams, index) => (sum[index] = (sum[index] as number) + grams));
    else daily.set(foodId, [...gramsOn]);
  }
  const dayOf = Array.from({ length: horizon }, (_, index) => addDays(today, index));
  const priceOf = new Map(stock.map((food) => [food.id, pricePerGram(food.lots)]));
  return {
    foods: stock.map(({ id, lots, openedDays, leadDays, sealedDays, loose }) => {
      const useG = daily.get(id) ?? Array<number>(horizon).fill(0);
      const usedPerWeekG = perDay(useG) * 7;
      const price = priceOf.get(id) ?? null;
      const packG = loose ? null : usualPack(lots);
      const supply = daysLeft(lots, useG, dayOf, openedDays);
      return {
        foodId: id,
        days: supply.days,
        usedPerWeekG,
        waste: supply.waste,
        costPerDayMinor: price === null ? null : (price * usedPerWeekG) / 7,
        packG,
        buy: purchaseOf({
          days: supply.days,
          useG,
          dayOf,
          deliveryDays: leadDays,
          packG,
          keepsDays: sealedDays,
        }),
      };
    }),
    groups: costs(use, priceOf),
  };
}

function costs(
  use: ReturnType<typeof plannedUse>,
  priceOf: ReadonlyMap<string, number | null>,
): GroupCost[] {
  const byGroup = new Map<string, GroupCost>();
  for (const { groupId, foodId, gramsOn } of use) {
    const cost = byGroup.get(groupId) ?? { groupId, costPerDayMinor: 0, inPart: false };
    byGroup.set(groupId, cost);
    const price = priceOf.get(foodId) ?? null;
    if (price === null) cost.inPart = true;
    else cost.costPerDayMinor += price * perDay(gramsOn);
  }
  return [...byGroup.values()];
}

/** Mean of a day, over whole weeks where there are any: a resting day counts for what it is. */
function perDay(gramsOn: readonly number[]): number {
  const days = gramsOn.length < 7 ? gramsOn.length : gramsOn.length - (gramsOn.length % 7);
  return gramsOn.slice(0, days).reduce((sum, grams) => sum + grams, 0) / days;
}

/** The size of the pack that was bought last; null where none was. */
function usualPack(lots: Stocked['lots']): number | null {
  const last = [...lots].sort((a, b) => (a.boughtOn < b.boughtOn ? 1 : -1))[0];
  return last?.amountG ?? null;
}
