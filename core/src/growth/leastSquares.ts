import { invert } from './invert';

/** Figures of a model, all of about one size, and where each may lie. */
export interface Start {
  at: readonly number[];
  low: readonly number[];
  high: readonly number[];
}

const MAX_STEPS = 80;
/** A step that changes the sum by less than this share of it is the last. */
const STILL = 1e-10;

/**
 * Figures at which a sum of squares is least.
 * @param rowsOf  for some figures: of each point what is left, and its slopes by the figures, both
 *                weighted by the root of what the point counts
 * @returns null where it cannot be told
 * Method: Levenberg-Marquardt with Marquardt’s scaling (Marquardt 1963, J. SIAM 11:431); a step that
 * makes it worse is never taken.
 */
export function leastSquares(
  rowsOf: (figures: readonly number[]) => { rest: number; slopes: readonly number[] }[],
  { at, low, high }: Start,
): { figures: number[]; sum: number } | null {
  const held = (figures: readonly number[]) =>
    figures.map((value, i) => Math.min(high[i]!, Math.max(low[i]!, value)));
  let figures = held(at);
  let rows = rowsOf(figures);
  let sum = squares(rows);
  let damping = 1e-3;
  for (let step = 0; step < MAX_STEPS && Number.isFinite(sum); step += 1) {
    const next = held(moved(figures, rows, damping) ?? figures);
    const tried = rowsOf(next);
    const after = squares(tried);
    if (!(after < sum)) {
      if (damping > 1e9) break;
      damping *= 8;
      continue;
    }
    const still = sum - after <= STILL * (sum + Number.MIN_VALUE);
    [figures, rows, sum] = [next, tried, after];
    damping = Math.max(1e-12, damping / 6);
    if (still) break;
  }
  return Number.isFinite(sum) ? { figures, sum } : null;
}

const squares = (rows: readonly { rest: number }[]) =>
  rows.reduce((sum, { rest }) => sum + rest * rest, 0);

function moved(
  figures: readonly number[],
  rows: readonly { rest: number; slopes: readonly number[] }[],
  damping: number,
): number[] | null {
  const size = figures.length;
  const normal = figures.map(() => Array<number>(size).fill(0));
  const right = Array<number>(size).fill(0);
  for (const { rest, slopes } of rows) {
    for (let i = 0; i < size; i += 1) {
      right[i]! += slopes[i]! * rest;
      for (let j = 0; j < size; j += 1) normal[i]![j]! += slopes[i]! * slopes[j]!;
    }
  }
  for (let i = 0; i < size; i += 1) normal[i]![i]! = normal[i]![i]! * (1 + damping) + 1e-12;
  const inverse = invert(normal);
  return inverse === null
    ? null
    : figures.map(
        (value, i) => value + inverse[i]!.reduce((sum, by, j) => sum + by * right[j]!, 0),
      );
}
