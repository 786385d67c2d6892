import { addDays } from '../round';
import { goodUntil, inOrderOfUse, type Lot } from './drawDown';
import { keptDays } from './place';

/** Grams that pass their last good day uneaten, and when. */
export interface Waste {
  lotId: string;
  massG: number;
  /** The first day on which it is no longer good, YYYY-MM-DD. */
  on: string;
}

export interface Supply {
  /** Whole days from today that the plan can be fed; null where it lasts past the horizon. */
  days: number | null;
  /** What is wasted by expiry within the horizon, in order of day. */
  waste: Waste[];
}

/**
 * Days left from the plan's own use, day by day, against lots, best-before dates, and how long a
 * lot keeps once it is opened: a sealed one is opened on the day it is first drawn from.
 * @param useG  grams wanted on each coming day, today first; its length is the horizon
 * @param dayOf the local date (YYYY-MM-DD) of each of those days
 * @param openedDays days that the food keeps once opened; null where that makes no difference
 */
export function daysLeft(
  lots: readonly Lot[],
  useG: readonly number[],
  dayOf: readonly string[],
  openedDays: number | null,
): Supply {
  const waste: Waste[] = [];
  const [first] = dayOf;
  if (first === undefined) return { days: null, waste };
  let stock = inOrderOfUse(lots, { day: first, openedDays })
    .filter((lot) => lot.remainingG > 0)
    .map((lot) => ({ ...lot, until: goodUntil(lot, openedDays) }));
  let days: number | null = null;
  useG.forEach((wanted, index) => {
    const today = dayOf[index] as string;
    if (stock.some((lot) => lot.until !== null && lot.until < today)) {
      for (const lot of stock) {
        if (lot.until !== null && lot.until < today) {
          waste.push({ lotId: lot.id, massG: lot.remainingG, on: today });
          lot.remainingG = 0;
        }
      }
      stock = stock.filter((lot) => lot.remainingG > 0);
    }
    let missing = wanted;
    for (const lot of stock) {
      if (missing <= 0) break;
      const taken = Math.min(missing, lot.remainingG);
      lot.remainingG -= taken;
      missing -= taken;
      if (lot.openedOn === null) {
        lot.openedOn = today;
        if (openedDays !== null) {
          const opened = addDays(today, keptDays(lot.place, openedDays) ?? openedDays);
          lot.until = lot.until !== null && lot.until < opened ? lot.until : opened;
        }
      }
    }
    stock = stock.filter((lot) => lot.remainingG > 0);
    if (missing > 1e-9 && days === null) days = index;
  });
  return { days, waste };
}
