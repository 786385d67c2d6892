import { daysBetween } from '../round';
import type { Dated } from './dates';
import { daysToLength, youngLengthCm, type YoungTraits } from './length';
import type { TubState } from './line';

/** How a brood grows, by its age from swimming free. */
export interface Growing {
  /** Mean total length at an age, cm. @param ahead days ahead of its kind, else those of the brood */
  lengthCm: (age: number, ahead?: number) => number;
  /** Days that a measurement is ahead of what its kind has at that age. */
  ahead: (measured: TubState['measured']) => number;
  /** Of the latest measurement in any tub. */
  aheadDays: number;
  /** The last day on which their length was known; null if unknown. */
  knownOn: string | null;
}

/** Ten years after it swims free nothing grows that was young. */
const GROWN_DAYS = 3650;

/** After a measurement growth goes on from what was measured. @param tempC usual water temperature */
export function growingFrom(
  traits: YoungTraits,
  tempC: number,
  swim: Dated | null,
  tubs: readonly TubState[],
): Growing {
  const ahead: Growing['ahead'] = (measured) => {
    if (measured === null || swim === null) return 0;
    const reached = daysToLength(traits, measured.lengthMm / 10, tempC);
    // Longer than its kind grows: then nothing more is to come.
    return reached === null ? 0 : reached - daysBetween(swim.day, measured.day);
  };
  const measured = tubs
    .flatMap(({ measured: one }) => (one === null ? [] : [one]))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
  const last = measured.at(-1) ?? null;
  const aheadDays = ahead(last);
  return {
    lengthCm: (age, by = aheadDays) =>
      youngLengthCm(traits, Math.min(GROWN_DAYS, Math.max(0, age + by)), tempC),
    ahead,
    aheadDays,
    knownOn: swim && (last?.day ?? swim.day),
  };
}
