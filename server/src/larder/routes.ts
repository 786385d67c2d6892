import type { LotRow, Supply } from '@open-larder/contract';
import {
  addDays,
  compileRound,
  daysLeft,
  pricePerGram,
  purchaseOf,
  type Round,
} from '@open-larder/core';
import { localDay } from '../clock';
import type { Handlers } from '../http/mount';
import { readHouse } from '../round/house';

/** How far the larder looks ahead, in days. */
const HORIZON = 120;

export const larderRoutes: Handlers = {
  async getSupply(_request, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const today = localDay(clock.now(), household.timeZone);
    const days = Array.from({ length: HORIZON }, (_, index) => addDays(today, index));
    const { house } = household.on(today);
    const week = days.slice(0, 7).map((day) => compileRound(house, day));
    const weekly = useByWeekday(week);
    const priceOf = new Map(household.foods.map((food) => [food.id, pricePerGram(food.lots)]));
    return {
      horizon: HORIZON,
      foods: household.foods
        .filter((food) => !food.archived)
        .map((food) => {
          const perDay = weekly.get(food.id) ?? Array<number>(7).fill(0);
          const use = days.map((_, index) => perDay[index % 7] as number);
          const usedPerWeekG = perDay.reduce((sum, grams) => sum + grams, 0);
          const { days: left, wastedG } = daysLeft(food.lots, use, days);
          const price = priceOf.get(food.id) ?? null;
          const packG = usualPack(food.lots);
          const deliveryDays = household.deliveryDays;
          const wanted = { lots: food.lots, useG: use, dayOf: days, deliveryDays, packG };
          const purchase = purchaseOf(wanted);
          return {
            foodId: food.id,
            days: left,
            usedPerWeekG,
            wastedG,
            costPerDayMinor: price === null ? null : (price * usedPerWeekG) / 7,
            buy: purchase && {
              ...purchase,
              massG: purchase.massG.value,
              why: purchase.massG,
              packG,
            },
          };
        }),
      groups: costs(week, priceOf),
    };
  },
};

/** Grams of each food on each of seven days: the plan repeats by weekday. */
function useByWeekday(week: readonly Round[]): Map<string, number[]> {
  const use = new Map<string, number[]>();
  week.forEach((round, index) => {
    for (const { servings } of round.groups) {
      for (const { food, portion } of servings) {
        const grams = use.get(food.id) ?? Array<number>(7).fill(0);
        grams[index] = (grams[index] as number) + portion.massG;
        use.set(food.id, grams);
      }
    }
  });
  return use;
}

/** What each group's food costs a day, over the week. */
function costs(
  week: readonly Round[],
  priceOf: ReadonlyMap<string, number | null>,
): Supply['groups'] {
  const byGroup = new Map<string, Supply['groups'][number]>();
  for (const { group, servings } of week.flatMap((round) => round.groups)) {
    const cost = byGroup.get(group.id) ?? { groupId: group.id, costPerDayMinor: 0, inPart: false };
    byGroup.set(group.id, cost);
    for (const { food, portion } of servings) {
      const price = priceOf.get(food.id) ?? null;
      if (price === null) cost.inPart = true;
      else cost.costPerDayMinor += (price * portion.massG) / week.length;
    }
  }
  return [...byGroup.values()];
}

/** The size of the pack that was bought last; null where none was. */
function usualPack(lots: readonly LotRow[]): number | null {
  const last = [...lots].sort((a, b) => (a.boughtOn < b.boughtOn ? 1 : -1))[0];
  return last?.amountG ?? null;
}
