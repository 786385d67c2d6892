import type { Sample } from './sample';

/** From this spread on the large ones take what is meant for the small ones. Source: hatchery practice, 20 to 25 %. */
export const SORT_FROM_CV = 0.2;
const SORT_NOW_CV = 0.25;
/** So few fish say nothing about a spread. Assumption. */
const MIN_FISH = 5;
/**
 * Two heaps lie apart by so many of their own spreads: Ashman’s D, of which 2 parts two heaps that are
 * known (Ashman, Bird & Zepf 1994, AJ 108:2348). Here the cut is the best of all, which makes it large by
 * itself, so that more is asked. Assumption.
 */
const APART = 6;
const MIN_HEAP = 3;

/** That a group should be sorted, and where. */
export interface Sorting {
  urgent: boolean;
  /** Shorter than this in one tank, longer in another, cm. */
  atCm: number;
  small: number;
  large: number;
  /** They lie in two heaps: two batches rather than one that grew apart. */
  mixed: boolean;
}

/**
 * Whether a group has grown so far apart that it is better sorted.
 * @param values lengths in cm of the sample
 * @returns null where it has not, or too few were measured to say
 */
export function sortingOf(values: readonly number[], { cv, again }: Sample): Sorting | null {
  if (again || cv === null || values.length < MIN_FISH) return null;
  const heaps = heapsOf(values);
  if (cv < SORT_FROM_CV && !heaps.mixed) return null;
  return { ...heaps, urgent: cv >= SORT_NOW_CV };
}

/** The cut that leaves the least spread on both sides of it. */
function heapsOf(values: readonly number[]): Omit<Sorting, 'urgent'> {
  const sorted = [...values].sort((a, b) => a - b);
  let best = { at: 1, squares: Infinity };
  for (let at = 1; at < sorted.length; at += 1) {
    const squares = squaresOf(sorted.slice(0, at)) + squaresOf(sorted.slice(at));
    if (squares < best.squares) best = { at, squares };
  }
  const [small, large] = [sorted.slice(0, best.at), sorted.slice(best.at)];
  const gap = meanOf(large) - meanOf(small);
  const spread = Math.sqrt(best.squares / Math.max(1, sorted.length - 2));
  const apart = gap > APART * spread;
  return {
    atCm: (small.at(-1)! + large[0]!) / 2,
    small: small.length,
    large: large.length,
    mixed: apart && Math.min(small.length, large.length) >= MIN_HEAP,
  };
}

const meanOf = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

function squaresOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
}
