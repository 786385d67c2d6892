import { groups } from 'd3-array';
import { student95 } from '../chance/distributions';
import { assertRange } from '../units';

/** A few fish of a group, measured on one day: lengths in cm, or masses in g. */
export interface Sample {
  /** How many fish it shows of; one fish measured again and again is one. */
  n: number;
  mean: number;
  /** Standard deviation between fish; null of one alone. */
  sd: number | null;
  /** Coefficient of variation, 0..; null of one alone. */
  cv: number | null;
  /** 95 % interval of the mean; null of one alone: then nothing says how far it may be off. */
  low: number | null;
  high: number | null;
  /** The same fish were measured more than once: their spread is that of the measuring. */
  again: boolean;
}

/** By eye against a ruler a length is off by so much of itself. Assumption. */
export const RULER_OFF = 0.03;

/**
 * Mean, spread and interval of what was measured on one day.
 * @param values one for each time that a fish was measured, above nothing
 * @param there  how many fish the group has: more values than fish measure some of them again
 * @throws RangeError without values
 */
export function sampleOf(values: readonly number[], there = Infinity): Sample {
  assertRange('number of measurements', values.length, 1, 10_000);
  values.forEach((value) => assertRange('a measurement', value, 1e-6, 1e6));
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const again = values.length > there;
  const n = Math.min(values.length, Math.max(1, there));
  if (values.length === 1 || n === 1) {
    return { n: 1, mean, sd: null, cv: null, low: null, high: null, again };
  }
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const sd = Math.sqrt(squares / (values.length - 1));
  // All fish of a group measured leave no doubt but that of the ruler.
  const unseen = Number.isFinite(there) && !again ? Math.max(0, 1 - n / there) : again ? 0 : 1;
  const sampling = (sd / Math.sqrt(n)) * Math.sqrt(unseen);
  const error = Math.hypot(sampling, (RULER_OFF * mean) / Math.sqrt(values.length));
  const off = student95(n - 1) * error;
  return { n, mean, sd, cv: sd / mean, low: Math.max(0, mean - off), high: mean + off, again };
}

/** Measurements of one group as they were written. */
export interface Measured {
  day: string;
  /** Mean length, cm. */
  lengthCm: number;
  /** Of each fish, where they were reported. */
  lengthsCm: readonly number[] | null;
}

/** Two measurements on one day are one sample of more fish. Oldest first. */
export function byDay(measured: readonly Measured[]): { day: string; values: number[] }[] {
  return groups(measured, ({ day }) => day)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, same]) => ({
      day,
      values: same.flatMap(({ lengthCm, lengthsCm }) =>
        lengthsCm && lengthsCm.length > 0 ? lengthsCm : [lengthCm],
      ),
    }));
}
