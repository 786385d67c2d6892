import { assertRange } from '../units';

/** What of a species its eggs are timed by: degree-days from laying, over 0 °C, near `tempOptC`. */
export interface EggTraits {
  hatchDegreeDays: number;
  swimDegreeDays: number;
  tempOptC: number;
  /** Nine of ten lie within the time divided and multiplied by this. */
  unsure: number;
}

/** When something is expected, in days from laying, with the window that holds it nine times of ten. */
export interface Window {
  day: number;
  from: number;
  to: number;
  /** It was seen: then the window is that day. */
  seen: boolean;
}

/** What the keeper saw, in days from laying; null where nothing was seen yet. */
export interface SeenEggs {
  hatched: number | null;
  swimming: number | null;
}

/** Development runs so many times faster for ten degrees. Assumption, where one temperature is known. */
const PER_TEN_DEGREES = 2.5;
/** What one brood was ahead or behind up to hatching, half of it holds until it swims. Assumption. */
const PACE_HOLDS = 0.5;
/** Eggs that take longer than this are stored, not waited for. */
const LONGEST_DAYS = 400;

/**
 * Share of the way to a stage that is made in a day.
 * @param degreeDays of the stage, from laying
 * @throws RangeError outside 0 to 40 °C
 */
export function progressPerDay(degreeDays: number, tempOptC: number, tempC: number): number {
  assertRange('water temperature in °C', tempC, 0, 40);
  const usualDays = degreeDays / tempOptC;
  return PER_TEN_DEGREES ** ((tempC - tempOptC) / 10) / usualDays;
}

/**
 * When eggs hatch and when their larvae swim free, by the temperature that was logged and is to come;
 * what was seen is taken as seen, and the rest follows from there.
 * @param tempOn water temperature on a day from laying, 0 being that day, °C
 * @throws RangeError for a temperature outside 0 to 40 °C, or a sighting out of order
 */
export function hatching(
  { hatchDegreeDays, swimDegreeDays, tempOptC, unsure }: EggTraits,
  tempOn: (day: number) => number,
  seen: SeenEggs = { hatched: null, swimming: null },
): { hatch: Window; swim: Window } {
  const { hatched, swimming } = seen;
  if (hatched !== null && swimming !== null && swimming < hatched) {
    throw new RangeError('they cannot swim free before they have hatched');
  }
  const rate = (degreeDays: number) => (day: number) =>
    progressPerDay(degreeDays, tempOptC, tempOn(day));
  const hatchRate = rate(hatchDegreeDays);
  const expected = reached(hatchRate, 0);
  const hatch = hatched === null ? windowOf(expected, 0, unsure) : asSeen(hatched);
  const rest = Math.max(0.01, swimDegreeDays - hatchDegreeDays);
  // A brood that was early is early again, though less so.
  const pace = hatched === null || hatched <= 0 ? 1 : (expected / hatched) ** PACE_HOLDS;
  const from = hatched ?? expected;
  const swims = reached((day) => rate(rest)(day) * pace, from);
  const swim =
    swimming === null ? windowOf(swims, hatched === null ? 0 : from, unsure) : asSeen(swimming);
  return { hatch, swim };
}

const asSeen = (day: number): Window => ({ day, from: day, to: day, seen: true });

const windowOf = (day: number, since: number, unsure: number): Window => ({
  day,
  from: since + (day - since) / unsure,
  to: since + (day - since) * unsure,
  seen: false,
});

/** The day on which all of the way is made, from a day on. */
function reached(rateOn: (day: number) => number, from: number): number {
  let made = 0;
  let at = from;
  while (at - from < LONGEST_DAYS) {
    const end = Math.floor(at) + 1;
    const rate = rateOn(Math.floor(at));
    const step = end - at;
    if (made + rate * step >= 1) return at + (1 - made) / rate;
    made += rate * step;
    at = end;
  }
  return from + LONGEST_DAYS;
}
