import { student95, studentBeyond } from '../chance/distributions';
import type { Sample } from '../growth/sample';
import { tubEffect } from './power';

/** What a trial showed. */
export interface TrialResult {
  /** Second less first, in what was measured, with its 95 % interval. */
  difference: number;
  low: number;
  high: number;
  /** Chance of such a difference, or a greater, if there were none. */
  chance: number;
  /** `none` is no conclusion: it may be more, it may be less. */
  says: 'more' | 'less' | 'none';
  /** As a share of the first. */
  share: number;
  /** One tub on each side: it shows the tubs apart, and not what was done to them. */
  tubsOnly?: boolean;
}

export type TrialRefusal = 'tooFew' | 'again' | 'unequal';

/** Each side needs so many fish for its spread to be known at all. */
export const MIN_EACH = 3;
/** One side with more than so many times the fish of the other is no fair trial. Assumption. */
const UNEQUAL = 2;

/**
 * Whether two lots of fish differ, by more than tubs differ by themselves.
 * @param tubsEach tubs on each side; null for fish of one water, or before a trial began
 * @returns why nothing is said where too few were measured, the same fish again and again, or far more
 *   on one side
 * Method: Welch’s t test (Welch 1947, Biometrika 34:28).
 */
export function compared(
  first: Sample,
  second: Sample,
  tubsEach: number | null = null,
): TrialResult | { refused: TrialRefusal } {
  if (first.again || second.again) return { refused: 'again' };
  if (Math.min(first.n, second.n) < MIN_EACH) return { refused: 'tooFew' };
  if (Math.max(first.n, second.n) > UNEQUAL * Math.min(first.n, second.n)) {
    return { refused: 'unequal' };
  }
  const result = against(partOf(first, tubsEach), partOf(second, tubsEach), first.mean);
  return tubsEach === 1 ? { ...result, tubsOnly: true } : result;
}

interface Part {
  mean: number;
  /** Square of the standard error. */
  error: number;
  freedom: number;
}

const partOf = ({ mean, sd, n }: Sample, tubs: number | null): Part => ({
  mean,
  error: (sd! ** 2 / n) * (tubs === null ? 1 : tubEffect(n, tubs)),
  freedom: n - 1,
});

function against(a: Part, b: Part, of: number): TrialResult {
  const difference = b.mean - a.mean;
  const error = Math.sqrt(a.error + b.error);
  // No spread at all: all fish alike to the last tenth.
  if (error === 0) {
    const says = difference === 0 ? 'none' : difference > 0 ? 'more' : 'less';
    const chance = difference === 0 ? 1 : 0;
    return { difference, low: difference, high: difference, chance, says, share: difference / of };
  }
  const freedom = error ** 4 / (a.error ** 2 / a.freedom + b.error ** 2 / b.freedom);
  const off = student95(freedom) * error;
  const [low, high] = [difference - off, difference + off];
  return {
    difference,
    low,
    high,
    chance: studentBeyond(difference / error, freedom),
    says: low > 0 ? 'more' : high < 0 ? 'less' : 'none',
    share: difference / of,
  };
}

/** One span of a tank: what was measured at its beginning and its end. */
export interface Span {
  from: Sample;
  to: Sample;
  days: number;
  /** What its kind grows in that span at that size, cm. */
  usualCm: number;
}

/**
 * Whether a tank grew otherwise on a new diet than before, against what is usual at each size: young
 * fish grow faster by themselves.
 * @returns growth as a multiple of the usual, second less first; or why nothing is said
 */
export function beforeAfter(
  before: Span,
  after: Span,
): (TrialResult & { before: number; after: number }) | { refused: TrialRefusal } {
  const samples = [before.from, before.to, after.from, after.to];
  if (samples.some(({ again }) => again)) return { refused: 'again' };
  if (samples.some(({ n }) => n < MIN_EACH)) return { refused: 'tooFew' };
  const grew = ({ from, to, usualCm }: Span): Part => ({
    mean: (to.mean - from.mean) / usualCm,
    error: (from.sd! ** 2 / from.n + to.sd! ** 2 / to.n) / usualCm ** 2,
    freedom: Math.min(from.n, to.n) - 1,
  });
  if (before.usualCm <= 0 || after.usualCm <= 0) return { refused: 'tooFew' };
  const [a, b] = [grew(before), grew(after)];
  return { ...against(a, b, Math.abs(a.mean) || 1), before: a.mean, after: b.mean };
}
