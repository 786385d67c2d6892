import { NITRATE_PER_N, nitrogenOfProtein } from '../water/nitrogen';
import { peakOf, shareFor } from '../water/sawTooth';
import { assertRange } from '../units';

/** A span of richer, more frequent meals, and the water that it is given in. */
export interface Conditioning {
  litres: number;
  /** Protein in the food of the whole tank, grams a day, as it is fed now. */
  proteinG: number;
  /** The same while they are conditioned. */
  thenG: number;
  days: number;
  /** How the water is changed: share, days between, nitrate of the new water in mg/L. */
  share: number;
  everyDays: number;
  sourceMgL: number;
}

export interface Conditioned {
  /** mg/L a day of ammonia nitrogen from food, before and while they are conditioned. */
  tanBefore: number;
  tanThen: number;
  /** Peak of nitrate in a steady rhythm of changes, mg/L. */
  nitrateBefore: number;
  nitrateThen: number;
  /** The share that holds the peak of before, at the same days between; null where none does. */
  shareThen: number | null;
  /** Days between changes of the same share that hold it; null where they would be less than one. */
  everyThen: number | null;
  /** Litres to change over the span, more than before. */
  litresMore: number;
}

/**
 * What conditioning adds to the water, and the changes that pay for it.
 * @throws RangeError for a tank, a share or a food that cannot be
 * Ammonia from food as of fish that do not grow; a steady rhythm of changes peaks at the source
 * plus what one interval adds, divided by the share. Plants take nothing up: an assumption, on the safe side.
 */
export function conditioned(of: Conditioning): Conditioned {
  assertRange('litres', of.litres, 0.2, 100_000);
  assertRange('protein a day in grams', of.thenG, 0, 100_000);
  const tan = (proteinG: number) =>
    (proteinG * nitrogenOfProtein('conditioning') * 1000) / of.litres;
  const [tanBefore, tanThen] = [tan(of.proteinG), tan(of.thenG)];
  const peak = (tanMgL: number) => peakOf(tanMgL * NITRATE_PER_N, of);
  const held = peak(tanBefore);
  const grows = tanBefore > 0 ? tanThen / tanBefore : 1;
  const shareThen = shareFor(held, tanThen * NITRATE_PER_N, of);
  const every = Math.floor(of.everyDays / grows + 1e-9);
  const changes = of.days / of.everyDays;
  return {
    tanBefore,
    tanThen,
    nitrateBefore: held,
    nitrateThen: peak(tanThen),
    shareThen,
    everyThen: Number.isFinite(every) && every >= 1 ? every : null,
    litresMore: Math.max(0, ((shareThen ?? 1) - of.share) * of.litres * changes),
  };
}
