/**
 * Growth goes its own way, and nobody knows a vessel's own rate: variance of the logarithm of a count,
 * a day. Assumption.
 */
export const DRIFT = 0.02;
/** No belief about a count is wider than this standard deviation of its logarithm. */
export const MOST_SD = 2;
