import { assertRange } from '../units';

/** A culture that is good for a while and then over: infusoria, green water, a hatch that was held. */
export interface Batch {
  /** Days at 25 °C until it can be given, and for which it stays good from then on. */
  readyDays: number;
  goodDays: number;
}

/** Life in it runs twice as fast for each ten degrees. Assumption. */
const Q10 = 2;

/**
 * The days from and up to which a batch can be given, counted from when it was set up.
 * @returns from and to, in days; `to` is the first moment at which it is over
 * @throws RangeError outside 0 to 40 °C
 */
export function goodFor(
  { readyDays, goodDays }: Batch,
  tempC: number,
): { from: number; to: number } {
  assertRange('temperature in °C', tempC, 0, 40);
  const speed = Q10 ** ((tempC - 25) / 10);
  const from = readyDays / speed;
  return { from, to: from + goodDays / speed };
}

/**
 * Batches set up in turn, so that one is good on every day.
 * @returns days between two of them, and how many stand at once; the last overlaps the next by a day
 */
export function inTurn(batch: Batch, tempC: number): { everyDays: number; vessels: number } {
  const { from, to } = goodFor(batch, tempC);
  const everyDays = Math.max(1, Math.floor(to - from) - 1);
  return { everyDays, vessels: Math.ceil(to / everyDays) };
}
