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
  /** What is believed of the tank from its tests; missing, food gives all its nitrogen and nothing is taken up. */
  believed?: { production: number; uptakeMgL: number } | null;
}

export interface Conditioned {
  /** mg/L a day of ammonia nitrogen from food, before and while they are conditioned. */
  tanBefore: number;
  tanThen: number;
  /** Peak of nitrate in a steady rhythm of changes, mg/L. */
  nitrateBefore: number;
  nitrateThen: number;
  /** So little nitrate that the usual changes go on. */
  enough: boolean;
  /** The share that holds the peak of before, at the same days between; null where none does. */
  shareThen: number | null;
  /** Days between changes of the same share that hold it; null where they would be less than one. */
  everyThen: number | null;
  /** Litres to change over the span, more than before. */
  litresMore: number;
}

/** Nitrate up to here is no reason to change more water, mg/L. Practice. */
const UNHARMFUL_MG_L = 20;

/**
 * What conditioning adds to the water, and the changes that pay for it.
 * @throws RangeError for a tank, a share or a food that cannot be
 * Ammonia from food as of fish that do not grow; a steady rhythm of changes peaks at the source
 * plus what one interval adds, divided by the share; production and uptake are those that the tank's tests tell.
 */
export function conditioned(of: Conditioning): Conditioned {
  assertRange('litres', of.litres, 0.2, 100_000);
  assertRange('protein a day in grams', of.thenG, 0, 100_000);
  const tan = (proteinG: number) =>
    (proteinG * nitrogenOfProtein('conditioning') * 1000) / of.litres;
  const [tanBefore, tanThen] = [tan(of.proteinG), tan(of.thenG)];
  const { production, uptakeMgL } = of.believed ?? { production: 1, uptakeMgL: 0 };
  const added = (tanMgL: number) => Math.max(0, production * tanMgL * NITRATE_PER_N - uptakeMgL);
  const peak = (tanMgL: number) => peakOf(added(tanMgL), of);
  const held = peak(tanBefore);
  const grows = added(tanBefore) > 0 ? added(tanThen) / added(tanBefore) : 1;
  const nitrateThen = peak(tanThen);
  const enough = nitrateThen <= UNHARMFUL_MG_L;
  const shareThen = shareFor(held, added(tanThen), of);
  const every = Math.floor(of.everyDays / grows + 1e-9);
  const changes = of.days / of.everyDays;
  return {
    tanBefore,
    tanThen,
    nitrateBefore: held,
    nitrateThen,
    enough,
    shareThen,
    everyThen: Number.isFinite(every) && every >= 1 ? every : null,
    litresMore: enough ? 0 : Math.max(0, ((shareThen ?? 1) - of.share) * of.litres * changes),
  };
}
