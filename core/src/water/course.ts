import type { Change } from './sawTooth';

/** A test of the water on a day. */
export interface WaterTest {
  day: number;
  mgL: number;
  /** Confirmed by who tested: it is believed however odd. */
  sure?: boolean;
}

/** What happened to a tank's water, by days from 0 up to today. */
export interface WaterCourse {
  /** Days from the beginning until today. */
  days: number;
  /** What the food of a day adds by its protein, mg/L. */
  foodAdds: (day: number) => number;
  /** What filling up after evaporation adds on a day, mg/L: salts stay, and the new water brings its own. */
  filled?: (day: number) => number;
  changes: readonly Change[];
  /** The first of them on which there was a tank; 0 where it is left out. */
  from?: number;
  /** What is in it at its beginning, mg/L, give or take; null where only a test can tell. */
  start: { mgL: number; sd: number } | null;
}

/** What is expected of plants before any test, mg/L a day. */
export interface UptakePrior {
  mgL: number;
  sd: number;
}

/** One way in which it may be: all of them, each as likely, are what is believed. */
export interface WaterWay {
  production: number;
  uptakeMgL: number;
  /** Nitrate today, before a change. */
  mgL: number;
  /** Its water is never changed, where that may be: no planned change touches it. */
  never?: true;
}

/** What is believed of a tank from its tests, against what its food adds. */
export interface WaterFit {
  /** What is really added, times what the food’s protein says. */
  production: number;
  /** What plants and all else take up, mg/L a day. */
  uptakeMgL: number;
  sd: { production: number; uptakeMgL: number };
  /** Tests that were believed. */
  tests: number;
  /** Tests that lie so far from the rest that they are to be asked about: by their place. */
  odd: number[];
  ways: WaterWay[];
  /** Nitrate at the beginning of each day, from the first that is known of up to today; NaN before. */
  path: Float64Array;
  /** How well tests and priors agree with this course, as a logarithm: for comparing courses over the same tests. */
  evidence: number;
}

/** What a model of a tank leaves out, as a share of what is in it. Assumption. */
export const MODEL_OFF = 0.025;
/** A test alone may tell nothing of where it began: from so many on they do by themselves. Assumption. */
export const TELLING = 3;

/** A course as numbers, day by day. */
export interface Days {
  food: Float64Array;
  filled: Float64Array;
  /** What a day's changes leave of what is there, and what they bring. */
  keeps: Float64Array;
  brings: Float64Array;
}

/** A course day by day, as numbers. */
export function daysOf({ days, foodAdds, filled = () => 0, changes }: WaterCourse): Days {
  const keeps = new Float64Array(days).fill(1);
  const brings = new Float64Array(days);
  for (const { day, share, sourceMgL } of changes) {
    if (day < 0 || day >= days) continue;
    keeps[day]! *= 1 - share;
    brings[day] = brings[day]! * (1 - share) + sourceMgL * share;
  }
  return {
    food: Float64Array.from({ length: days }, (_, day) => foodAdds(day)),
    filled: Float64Array.from({ length: days }, (_, day) => filled(day)),
    keeps,
    brings,
  };
}

/** The value that a share of all ways stays under. */
export const quantileOf = (
  ways: readonly WaterWay[],
  of: (way: WaterWay) => number,
  share: number,
): number => quantile(Float64Array.from(ways, of).sort(), share);

/** The value that a share of sorted ones stays under. */
export const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
