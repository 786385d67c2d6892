import { PER_N, type Reading } from './range';

/** mg/L of calcium carbonate to a German degree; mmol/L; French and English degrees. Source: their definitions. */
const PER_DEGREE = { ppm: 17.848, mmol: 0.17832, french: 1.7848, english: 1.2522 };
/** mg/L dissolved to a µS/cm, of usual fresh water. Assumption: between 0.5 and 0.7. */
const SOLIDS_PER_US = 0.64;

/** A unit in which a reading is usually told: what it is called, and what of it is one of the base. */
interface Unit {
  says: string;
  /** As it may be written in a table. */
  written: readonly string[];
  toBase: (value: number) => number;
}

const times = (factor: number) => (value: number) => value * factor;
const same = times(1);
const degrees: Record<string, Unit> = {
  dGH: { says: 'German degrees', written: ['dgh', 'dkh', '°dh', 'dh', '°d'], toBase: same },
  ppm: {
    says: 'mg/L of calcium carbonate (ppm)',
    written: ['ppm', 'mg/l', 'mg/l caco3', 'ppm caco3'],
    toBase: times(1 / PER_DEGREE.ppm),
  },
  mmol: { says: 'mmol/L', written: ['mmol', 'mmol/l'], toBase: times(1 / PER_DEGREE.mmol) },
  fH: {
    says: 'French degrees',
    written: ['°f', 'fh', '°fh'],
    toBase: times(1 / PER_DEGREE.french),
  },
  e: { says: 'English degrees', written: ['°e', 'clark'], toBase: times(1 / PER_DEGREE.english) },
};

/** The units of each reading, the usual one first. */
export const READING_UNITS: Record<Reading, Record<string, Unit>> = {
  tan: {
    N: {
      says: 'mg/L as nitrogen (NH3-N, TAN)',
      written: ['nh3-n', 'nh4-n', 'tan', 'mg/l n', 'mg/l nh3-n'],
      toBase: same,
    },
    NH4: {
      says: 'mg/L as ammonium (NH4, NH3/NH4)',
      written: ['nh4', 'nh3/nh4', 'nh4+', 'mg/l nh4'],
      toBase: times(1 / PER_N.ammonium),
    },
  },
  nitrite: {
    NO2: { says: 'mg/L as nitrite (NO2)', written: ['no2', 'no2-', 'mg/l no2'], toBase: same },
    N: {
      says: 'mg/L as nitrogen (NO2-N)',
      written: ['no2-n', 'mg/l no2-n'],
      toBase: times(PER_N.nitrite),
    },
  },
  nitrate: {
    NO3: { says: 'mg/L as nitrate (NO3)', written: ['no3', 'no3-', 'mg/l no3'], toBase: same },
    N: {
      says: 'mg/L as nitrogen (NO3-N)',
      written: ['no3-n', 'mg/l no3-n'],
      toBase: times(PER_N.nitrate),
    },
  },
  ph: { ph: { says: 'pH', written: ['', 'ph'], toBase: same } },
  gh: degrees,
  kh: degrees,
  tdsMgL: {
    mg: { says: 'mg/L (ppm)', written: ['mg/l', 'ppm', 'tds'], toBase: same },
    us: {
      says: 'µS/cm, times 0.64',
      written: ['us/cm', 'µs/cm', 'μs/cm', 'us', 'µs'],
      toBase: times(SOLIDS_PER_US),
    },
  },
  tempC: {
    C: { says: '°C', written: ['°c', 'c'], toBase: same },
    F: { says: '°F', written: ['°f', 'f'], toBase: (value) => ((value - 32) * 5) / 9 },
  },
};

/** @returns a reading in its base unit; null for a unit that it is not told in */
export function toReading(of: Reading, value: number, unit: string): number | null {
  const units = READING_UNITS[of];
  const written = unit.trim().toLowerCase();
  const known =
    units[unit] ?? Object.values(units).find((one) => one.written.includes(written)) ?? null;
  return known ? known.toBase(value) : null;
}

/** A field of a strip: what its colour is called, and between which values it lies. */
export interface StripStep {
  word: string;
  value: number;
  low: number;
  high: number;
}

const steps = (...of: readonly [string, number][]): StripStep[] =>
  of.map(([word, value], at) => ({
    word,
    value,
    low: at === 0 ? value : (of[at - 1]![1] + value) / 2,
    high: at === of.length - 1 ? value * 1.5 : (value + of[at + 1]![1]) / 2,
  }));

/**
 * Colours of a usual strip, in words. Strips differ: the chart that came with it is right. Assumptions.
 */
export const STRIPS: Partial<Record<Reading, readonly StripStep[]>> = {
  nitrate: steps(
    ['white', 0],
    ['a breath of pink', 10],
    ['pale pink', 25],
    ['pink', 50],
    ['deep pink', 100],
    ['purple', 250],
  ),
  nitrite: steps(
    ['white', 0],
    ['a breath of pink', 0.5],
    ['pink', 1],
    ['deep pink', 5],
    ['purple', 10],
  ),
  tan: steps(
    ['yellow', 0],
    ['yellow-green', 0.4],
    ['pale green', 0.8],
    ['green', 2.3],
    ['blue-green', 4.6],
  ),
  gh: steps(
    ['dark green', 0],
    ['green-brown', 3],
    ['olive', 6],
    ['plum', 10],
    ['violet', 16],
    ['wine red', 21],
  ),
  kh: steps(['yellow', 0], ['yellow-green', 3], ['green', 6], ['blue-green', 10], ['blue', 15]),
  ph: steps(
    ['yellow', 6],
    ['straw', 6.4],
    ['orange', 6.8],
    ['salmon', 7.2],
    ['red', 7.6],
    ['purple', 8.4],
  ),
};
