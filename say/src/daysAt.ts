import type { UnitChoice } from '@open-larder/core/units';
import { formatNumber } from './figures';
import { readMeasure, readNumberAlone } from './reading';

/** Days that something takes at a temperature, as a keeper knows them: «6 to 8 days at 28 °C». */
export interface DaysAt {
  minDays: number;
  maxDays: number;
  /** Null where none was typed. */
  tempC: number | null;
}

export type DaysReading = { days: DaysAt; error?: undefined } | { days?: undefined; error: string };

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
  if (!found) return { error: `«${text.trim()}» is not understood; write «6 to 8 days at 28 °C»` };
  const [, from, to = from, unit = 'd', at] = found as unknown as string[];
  const temperature = at === undefined ? null : readMeasure(at, 'temperature', choice);
  if (temperature?.error !== undefined) return { error: temperature.error };
  const tempC = temperature?.base ?? null;
  const [low, high] = [from!, to!].map((one) => readNumberAlone(one));
  if (low!.base === undefined) return { error: low!.error! };
  if (high!.base === undefined) return { error: high!.error! };
  const divisor = divisorOf(unit, tempC ?? optimumC);
  const [a, b] = [low!.base / divisor, high!.base / divisor];
  const days = { minDays: Math.min(a, b), maxDays: Math.max(a, b), tempC };
  if (!(days.minDays > 0) || days.maxDays > MAX_DAYS) {
    return { error: `days lie over 0 and up to ${MAX_DAYS}` };
  }
  return { days };
}

function divisorOf(unit: string, tempC: number): number {
  if (/^(degree|°)/i.test(unit)) return tempC;
  return /^h/i.test(unit) ? HOURS_A_DAY : 1;
}

/** «6 to 8 days», or «7 days» where both are one. */
export function formatDays({ minDays, maxDays }: Pick<DaysAt, 'minDays' | 'maxDays'>): string {
  const [low, high] = [formatNumber(minDays, 1), formatNumber(maxDays, 1)];
  if (low === high) return low === '1' ? '1 day' : `${low} days`;
  return `${low} to ${high} days`;
}
