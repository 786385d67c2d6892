import { tzOffset } from '@date-fns/tz';

/** Hours that a tank is lit, as local wall time in minutes after midnight; off may be past midnight. */
export interface LightHours {
  onMin: number;
  offMin: number;
}

/** A moment of the day: at a clock time, or counted from the tank's own lights. */
export interface Moment {
  id: string;
  name: string;
  anchor: 'clock' | 'lightsOn' | 'lightsOff';
  /** Minutes after midnight for `clock`; minutes after (or before, negative) the light otherwise. */
  minutes: number;
}

const DAY_MIN = 1440;
const MINUTE_MS = 60_000;

function utcOf(day: string): number {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return Date.UTC(year, month - 1, date);
}

/**
 * Wall time of a moment at a tank in minutes after the day's midnight.
 * «Lights-out + 20» of a tank lit past midnight is 1440 or more: the night belongs to its evening.
 */
export function wallMinutes(moment: Moment, light: LightHours): number {
  if (moment.anchor === 'clock') return moment.minutes;
  if (moment.anchor === 'lightsOn') return light.onMin + moment.minutes;
  const off = light.offMin < light.onMin ? light.offMin + DAY_MIN : light.offMin;
  return off + moment.minutes;
}

/**
 * The instant of a local wall time, safe across daylight saving: a time that the clock skips
 * becomes the first one after the gap, a time that it repeats is taken the first time.
 * @param day     YYYY-MM-DD
 * @param minutes after that day's midnight; negative or past 1440 reaches the neighbouring day
 * @param zone    IANA time zone
 * @throws RangeError for an unknown zone
 */
export function instantOf(day: string, minutes: number, zone: string): Date {
  const wall = utcOf(day) + minutes * MINUTE_MS;
  const offsetAt = (instant: number) => tzOffset(zone, new Date(instant)) * MINUTE_MS;
  // The two offsets in force around that time: where they differ, a change of clocks is near.
  const before = offsetAt(wall - DAY_MIN * MINUTE_MS);
  const after = offsetAt(wall + DAY_MIN * MINUTE_MS);
  if (Number.isNaN(before)) throw new RangeError(`«${zone}» is not a known time zone`);
  const first = wall - before;
  if (offsetAt(first) === before) return new Date(first);
  if (offsetAt(wall - after) === after) return new Date(wall - after);
  // Skipped by the clock: walk back to the minute at which the new offset began.
  let start = first;
  while (offsetAt(start - MINUTE_MS) === after) start -= MINUTE_MS;
  return new Date(start);
}

/** ISO weekday of a day, 1 Monday … 7 Sunday. */
export function weekdayOf(day: string): number {
  return ((new Date(utcOf(day)).getUTCDay() + 6) % 7) + 1;
}

/** Whole days from one day to another; negative where the other is earlier. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((utcOf(to) - utcOf(from)) / (DAY_MIN * MINUTE_MS));

/** The day `count` days later (or earlier, negative), as YYYY-MM-DD. */
export function addDays(day: string, count: number): string {
  return new Date(utcOf(day) + count * DAY_MIN * MINUTE_MS).toISOString().slice(0, 10);
}

/** Hours of light, 0..24. Equal on and off times mean a tank that is never lit. */
export function hoursOfLight(light: LightHours): number {
  return ((((light.offMin - light.onMin) % DAY_MIN) + DAY_MIN) % DAY_MIN) / 60;
}
