// @ts-expect-error: the package comes without types; what is used of it is typed below.
import { jStat as untyped } from 'jstat';

interface Distributions {
  studentt: {
    inv: (p: number, freedom: number) => number;
    cdf: (x: number, freedom: number) => number;
  };
  noncentralt: { cdf: (x: number, freedom: number, away: number) => number };
  chisquare: { inv: (p: number, freedom: number) => number };
}
const jStat: Distributions = untyped;

/** So many standard errors to each side hold the truth in 95 of 100 samples. @param freedom at least 1 */
export const student95 = (freedom: number): number => jStat.studentt.inv(0.975, freedom);

/** Chance of a t further from nothing than this one, on either side, if there were no difference. */
export const studentBeyond = (t: number, freedom: number): number =>
  2 * (1 - jStat.studentt.cdf(Math.abs(t), freedom));

/** Chance of a t above `from` where the truth lies `away` standard errors off. */
export const studentAbove = (from: number, freedom: number, away: number): number =>
  1 - jStat.noncentralt.cdf(from, freedom, away);

/**
 * Between these lies the mean of a count in 95 of 100 cases.
 * Source: exact limits of a Poisson mean (Garwood 1936, Biometrika 28:437).
 */
export const countLimits = (count: number): { low: number; high: number } => ({
  low: count === 0 ? 0 : jStat.chisquare.inv(0.025, 2 * count) / 2,
  high: jStat.chisquare.inv(0.975, 2 * count + 2) / 2,
});
