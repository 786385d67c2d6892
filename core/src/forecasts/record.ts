import { isInside, type Scored } from './band';
import { asShown, CALIBRATED_FROM, calibrationOf } from './calibration';

/** How some forecasts of one kind did. */
export interface HowRight {
  count: number;
  /** Half of them were off by less, in the unit of the kind. */
  medianError: number;
  /** How many lay within the band that was shown. */
  inside: number;
}

/** How right the forecasts of one kind were. */
export interface ForecastRecord extends HowRight {
  /** What the bands of the kind are multiplied with now; null until enough came true. */
  calibration: number | null;
  /** The first and the last half of them, where there are enough to compare. */
  change: { first: HowRight; last: HowRight } | null;
}

/** Halves of fewer than this are not compared. Assumption. */
const MIN_HALF = 4;

/**
 * @param scored of one kind, in the order in which they came true, as the model gave them
 * @returns null where none came true yet
 */
export function recordOf(scored: readonly Scored[]): ForecastRecord | null {
  if (scored.length === 0) return null;
  const shown = asShown(scored);
  const half = Math.floor(shown.length / 2);
  return {
    ...howRight(shown),
    calibration: scored.length < CALIBRATED_FROM ? null : calibrationOf(scored),
    change:
      half < MIN_HALF
        ? null
        : { first: howRight(shown.slice(0, half)), last: howRight(shown.slice(half)) },
  };
}

function howRight(shown: readonly Scored[]): HowRight {
  const errors = shown.map(({ middle, actual }) => Math.abs(actual - middle)).sort((a, b) => a - b);
  const at = (errors.length - 1) / 2;
  return {
    count: shown.length,
    medianError: (errors[Math.floor(at)]! + errors[Math.ceil(at)]!) / 2,
    inside: shown.filter(isInside).length,
  };
}
