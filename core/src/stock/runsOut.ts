import type { Foreseen } from '../forecasts';

/** Use differs from the plan by about this share, each way, nine times of ten. Assumption. */
const USE_OFF = 0.25;

/** The days that a food lasts, with the range that a keeper’s hand leaves. @param days as planned */
export const runsOutIn = (days: number): Foreseen => ({
  low: days * (1 - USE_OFF),
  middle: days,
  high: days / (1 - USE_OFF),
});
