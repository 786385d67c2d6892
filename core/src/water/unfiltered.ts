import { assertRange } from '../units';
import { CONCERN_MG_L, unionisedShare } from './ammonia';
import { nitrogenOfProtein } from './nitrogen';

/** Whoever lives without a filter is young: a fry tub. */
const OF_PROTEIN = nitrogenOfProtein('fry');

/** Water in which nothing takes the ammonia up: a fry tub, a tank without a grown filter. */
export interface Unfiltered {
  litres: number;
  ph: number;
  tempC: number;
  /** Food a day, grams as fed, and the protein in it. */
  foodGPerDay: number;
  protein: number;
  /** Total ammonia nitrogen in it now, mg/L. */
  tanMgL: number;
}

/**
 * Hours until the un-ionised ammonia of an unfiltered tub is at the level of concern: until then the
 * next change must come.
 * @returns 0 where it is there already, Infinity without food
 * @throws RangeError for a tub without water
 * Source: ammonia from food after Timmons & Ebeling; nothing in the tub takes it up.
 */
export function hoursUntilConcern({
  litres,
  ph,
  tempC,
  foodGPerDay,
  protein,
  tanMgL,
}: Unfiltered): number {
  assertRange('litres', litres, 0.05, 100_000);
  const maxMgL = CONCERN_MG_L / unionisedShare(ph, tempC);
  if (tanMgL >= maxMgL) return 0;
  const perHour = (foodGPerDay * protein * OF_PROTEIN * 1000) / litres / 24;
  return perHour <= 0 ? Infinity : (maxMgL - tanMgL) / perHour;
}

/**
 * The share of water to change so that an unfiltered tub stays under the level of concern until the next
 * change.
 * @param everyHours  hours between two changes
 * @param sourceMgL   total ammonia nitrogen of the new water, mg/L
 * @returns 0 to 1; null where no change is enough: less food, more water or more changes are
 */
export function changeFor(
  tub: Omit<Unfiltered, 'tanMgL'>,
  everyHours: number,
  sourceMgL = 0,
): number | null {
  assertRange('hours between two changes', everyHours, 0.5, 24 * 14);
  const maxMgL = CONCERN_MG_L / unionisedShare(tub.ph, tub.tempC);
  const adds = ((tub.foodGPerDay * tub.protein * OF_PROTEIN * 1000) / tub.litres / 24) * everyHours;
  // In a steady rhythm it peaks at the source plus what one interval adds, divided by the share.
  const share = adds / (maxMgL - sourceMgL);
  return maxMgL <= sourceMgL || share > 1 ? null : share;
}
