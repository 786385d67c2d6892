import { sayNumber, type UnitChoice } from './measures';
import { readMeasure, readNumberAlone } from './reading';

/** Days that something takes at a temperature, as a keeper knows them: «6 to 8 days at 28 °C». */
export interface DaysAt {
  minDays: number;
  maxDays: number;
  /** Null where none was typed. */
  tempC: number | null;
}

export type DaysReading = { days: DaysAt; fault?: undefined } | { days?: undefined; fault: string };

const NUMBER = String.raw`[\d.,½¼¾]+(?:\s+\d\/\d)?`;
const SHAPE = new RegExp(
  String.raw`^\s*(?:about|ca\.?|~|≈)?\s*(${NUMBER})\s*(?:(?:to|-|–|—|bis)\s*(${NUMBER}))?\s*` +
    String.raw`(degree[- ]?days?|°\s?C\s*[·.*x×]?\s*d|h(?:ours?|rs?)?|d(?:ays?)?)?\.?\s*(?:(?:at|@|,)\s*(.+))?$`,
  'iu',
);
const HOURS_A_DAY = 24;
const MAX_DAYS = 365;

/**
 * Read days, hours or degree-days, one figure or a range, with or without a temperature.
 * @param text     not empty
 * @param optimumC °C, for degree-days without a temperature
 */
export function readDaysAt(text: string, choice: UnitChoice, optimumC: number): DaysReading {
  const found = SHAPE.exec(text);
  if (!found) return { fault: `«${text.trim()}» is not understood; write «6 to 8 days at 28 °C»` };
  const [, from, to = from, unit = 'd', at] = found as unknown as string[];
  const temperature = at === undefined ? null : readMeasure(at, 'temperature', choice);
  if (temperature?.fault !== undefined) return { fault: temperature.fault };
  const tempC = temperature?.base ?? null;
  const [low, high] = [from!, to!].map((one) => readNumberAlone(one));
  if (low!.base === undefined) return { fault: low!.fault! };
  if (high!.base === undefined) return { fault: high!.fault! };
  const divisor = divisorOf(unit, tempC ?? optimumC);
  const [a, b] = [low!.base / divisor, high!.base / divisor];
  const days = { minDays: Math.min(a, b), maxDays: Math.max(a, b), tempC };
  if (!(days.minDays > 0) || days.maxDays > MAX_DAYS) {
    return { fault: `days lie over 0 and up to ${MAX_DAYS}` };
  }
  return { days };
}

function divisorOf(unit: string, tempC: number): number {
  if (/^(degree|°)/i.test(unit)) return tempC;
  return /^h/i.test(unit) ? HOURS_A_DAY : 1;
}

/** «6 to 8 days», or «7 days» where both are one. */
export function sayDays({ minDays, maxDays }: Pick<DaysAt, 'minDays' | 'maxDays'>): string {
  const [low, high] = [sayNumber(minDays, 1), sayNumber(maxDays, 1)];
  if (low === high) return low === '1' ? '1 day' : `${low} days`;
  return `${low} to ${high} days`;
}
