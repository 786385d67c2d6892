import { assertRange } from '../units';
import { TAN_OF_PROTEIN } from '../water';

/** Un-ionised ammonia nitrogen from which on fry are in danger, mg/L. Starting value. */
export const CONCERN_MG_L = 0.02;

/**
 * Share of the total ammonia that is un-ionised (toxic) NH3.
 * @param ph    4 to 10
 * @param tempC water temperature in °C, 0 to 40
 * @returns fraction 0..1
 * @throws RangeError outside those ranges
 * Source: Emerson et al. 1975, J. Fish. Res. Board Can. 32:2379.
 */
export function unionisedShare(ph: number, tempC: number): number {
  assertRange('pH', ph, 4, 10);
  assertRange('temperature in °C', tempC, 0, 40);
  const pKa = 0.09018 + 2729.92 / (273.15 + tempC);
  return 1 / (10 ** (pKa - ph) + 1);
}

export interface FryTub {
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
}: FryTub): number {
  assertRange('litres', litres, 0.05, 100_000);
  const mostMgL = CONCERN_MG_L / unionisedShare(ph, tempC);
  if (tanMgL >= mostMgL) return 0;
  const perHour = (foodGPerDay * protein * TAN_OF_PROTEIN * 1000) / litres / 24;
  return perHour <= 0 ? Infinity : (mostMgL - tanMgL) / perHour;
}

/**
 * The share of water to change so that an unfiltered tub stays under the level of concern until the next
 * change.
 * @param everyHours  hours between two changes
 * @param sourceMgL   total ammonia nitrogen of the new water, mg/L
 * @returns 0 to 1; null where no change is enough: less food, more water or more changes are
 */
export function changeFor(
  tub: Omit<FryTub, 'tanMgL'>,
  everyHours: number,
  sourceMgL = 0,
): number | null {
  assertRange('hours between two changes', everyHours, 0.5, 24 * 14);
  const mostMgL = CONCERN_MG_L / unionisedShare(tub.ph, tub.tempC);
  const adds =
    ((tub.foodGPerDay * tub.protein * TAN_OF_PROTEIN * 1000) / tub.litres / 24) * everyHours;
  // In a steady rhythm it peaks at the source plus what one interval adds, divided by the share.
  const share = adds / (mostMgL - sourceMgL);
  return mostMgL <= sourceMgL || share > 1 ? null : share;
}
