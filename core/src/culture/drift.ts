/** Growth goes its own way from day to day: variance of the logarithm of a count, a day. Assumption. */
const DRIFT = 0.02;
/** No belief about a count is wider than this standard deviation of its logarithm. */
export const MAX_SD = 2;

/** Variance of the logarithm of a count that a day adds, where growth slowed to a share of itself. */
export const driftOf = (rSd = 0, slope = 1): number => DRIFT + (rSd * slope) ** 2;
