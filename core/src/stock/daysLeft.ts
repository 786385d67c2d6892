import { inOrderOfUse, type Lot } from './drawDown';

export interface Supply {
  /** Whole days from today that the plan can be fed; null where it lasts past the horizon. */
  days: number | null;
  /** Grams that pass their best-before uneaten, within the horizon. */
  wastedG: number;
}

/**
 * Days left from the plan's own use, day by day, against lots and best-before dates.
 * @param useG  grams wanted on each coming day, today first; its length is the horizon
 * @param dayOf the local date (YYYY-MM-DD) of each of those days
 */
export function daysLeft(
  lots: readonly Lot[],
  useG: readonly number[],
  dayOf: readonly string[],
): Supply {
  const open = inOrderOfUse(lots).map((lot) => ({ ...lot }));
  let wastedG = 0;
  let days: number | null = null;
  useG.forEach((wanted, index) => {
    const today = dayOf[index] as string;
    for (const lot of open) {
      if (lot.bestBefore !== null && lot.bestBefore < today) {
        wastedG += lot.remainingG;
        lot.remainingG = 0;
      }
    }
    let missing = wanted;
    for (const lot of open) {
      const taken = Math.min(missing, lot.remainingG);
      lot.remainingG -= taken;
      missing -= taken;
    }
    if (missing > 1e-9 && days === null) days = index;
  });
  return { days, wastedG };
}
