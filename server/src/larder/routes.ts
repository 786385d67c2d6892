import type { LotRow } from '@open-larder/contract';
import {
  addDays,
  compileRound,
  daysLeft,
  pricePerGram,
  purchaseOf,
  type House,
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
    const weekly = useByWeekday(household.on(today).house, days.slice(0, 7));
    return {
      horizon: HORIZON,
      foods: household.foods
        .filter((food) => !food.archived)
        .map((food) => {
          const week = weekly.get(food.id) ?? Array<number>(7).fill(0);
          const use = days.map((_, index) => week[index % 7] as number);
          const usedPerWeekG = week.reduce((sum, grams) => sum + grams, 0);
          const { days: left, wastedG } = daysLeft(food.lots, use, days);
          const price = pricePerGram(food.lots);
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
    };
  },
};

/** Grams of each food on each of seven days: the plan repeats by weekday. */
function useByWeekday(house: House, week: readonly string[]): Map<string, number[]> {
  const use = new Map<string, number[]>();
  week.forEach((day, index) => {
    for (const { servings } of compileRound(house, day).groups) {
      for (const { food, portion } of servings) {
        const grams = use.get(food.id) ?? Array<number>(7).fill(0);
        grams[index] = (grams[index] as number) + portion.massG;
        use.set(food.id, grams);
      }
    }
  });
  return use;
}

/** The size of the pack that was bought last; null where none was. */
function usualPack(lots: readonly LotRow[]): number | null {
  const last = [...lots].sort((a, b) => (a.boughtOn < b.boughtOn ? 1 : -1))[0];
  return last?.amountG ?? null;
}
