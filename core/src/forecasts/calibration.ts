import { misfit, widened, type Scored } from './band';

/** Bands are meant to hold so many. */
export const COVERAGE = 0.9;
/** Fewer scored forecasts say nothing about their bands. */
export const CALIBRATED_FROM = 20;
/** So many of the newest count: a household and its models change. Assumption. */
const NEWEST = 200;
/** However few it holds, a band is never made wider or narrower than this. Assumption. */
const BOUNDS = { min: 0.3, max: 5 };

/**
 * By how much the bands of a kind are widened or narrowed for a household, so that nine of ten hold.
 * @param scored in the order in which they came true
 * @returns 1 until there are enough
 * Source: split conformal prediction (Vovk, Gammerman & Shafer 2005, Algorithmic Learning in a Random
 * World): the ⌈(n+1)·0.9⌉-th smallest misfit.
 */
export function calibrationOf(scored: readonly Scored[]): number {
  const newest = scored.slice(-NEWEST);
  if (newest.length < CALIBRATED_FROM) return 1;
  const misfits = newest.map(misfit).sort((a, b) => a - b);
  const rank = Math.ceil((misfits.length + 1) * COVERAGE);
  const times = misfits[Math.min(misfits.length, rank) - 1]!;
  return Math.min(BOUNDS.max, Math.max(BOUNDS.min, times));
}

/** Each as it was shown: with the calibration that those before it had earned. */
export const asShown = <S extends Scored>(scored: readonly S[]): S[] =>
  scored.map((one, at) => widened(one, calibrationOf(scored.slice(0, at))));
