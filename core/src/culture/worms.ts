import { assertRange } from '../units';

/** A culture on a substrate that gives after a while, for a while, and then fades. */
export interface Plateau {
  /** Days at `refC` until the first harvest, until it gives in full, and until it begins to fade. */
  firstDays: number;
  fullDays: number;
  fadeDays: number;
  /** Days at `refC` after which it gives nothing any more. */
  overDays: number;
  /** Temperature that the days are for, °C. */
  refC: number;
}

/** Life in a substrate runs twice as fast for each ten degrees. Assumption. */
const Q10 = 2;

/**
 * Share of its full yield that a culture gives, by its age: nothing, then more from day to day, all of
 * it for weeks, and less until it is over.
 * @param ageDays 0 or more
 * @returns 0 to 1
 */
export function yieldShare(
  { firstDays, fullDays, fadeDays, overDays, refC }: Plateau,
  ageDays: number,
  tempC: number,
): number {
  assertRange('age of the culture in days', ageDays, 0, 3650);
  assertRange('temperature in °C', tempC, 0, 40);
  const age = ageDays * Q10 ** ((tempC - refC) / 10);
  if (age < firstDays || age >= overDays) return 0;
  if (age < fullDays) return (age - firstDays) / (fullDays - firstDays);
  return age < fadeDays ? 1 : (overDays - age) / (overDays - fadeDays);
}
