import { daysBetween } from '../round';
import { hatching, type EggTraits } from './development';
import { broodOn, warmthOn, type BroodEvent } from './line';

/** What was seen of an earlier clutch, against what was expected of it at its temperatures. */
export interface Clutch {
  /** Days to hatching and to swimming free, as multiples of those expected; null where not seen. */
  hatch: number | null;
  swim: number | null;
}

/** Clutches of one keeper differ by so much, and a day is all that is noted. Assumption: a log deviation. */
const DIFFER = 0.15;
/** So many standard deviations to each side hold nine of ten. */
const NINE_OF_TEN = 1.645;
/** However many were seen, no clutch is surer than this. Assumption. */
const MIN_UNSURE = 1.12;
/** Something else was seen, or a day was mistyped, where it is so many times off. Assumption. */
const ABSURD = 4;

/**
 * Read an earlier clutch.
 * @param usualC water temperature where none was read, °C
 * @returns null where it was not seen both laid and hatched, or laid and swimming
 */
export function clutchOf(
  events: readonly BroodEvent[],
  eggs: EggTraits,
  usualC: number,
  today: string,
): Clutch | null {
  const { spawnedOn, hatchedOn, swimmingOn } = broodOn(events, today);
  if (spawnedOn === null) return null;
  const expected = hatching(eggs, warmthOn(events, spawnedOn, usualC));
  const times = (seenOn: string | null, days: number): number | null => {
    // What hatches within its first day is noted on that day: half a day is meant.
    const seen = seenOn === null ? null : Math.max(0.5, daysBetween(spawnedOn, seenOn));
    const ratio = seen === null ? null : seen / days;
    return ratio !== null && ratio < ABSURD && ratio > 1 / ABSURD ? ratio : null;
  };
  const clutch = {
    hatch: times(hatchedOn, expected.hatch.day),
    swim: times(swimmingOn, expected.swim.day),
  };
  return clutch.hatch === null && clutch.swim === null ? null : clutch;
}

/**
 * What eggs are timed by, after what was seen of earlier clutches of the species: the expectation moves
 * towards them, and the window narrows. A normal law of the logarithms, with the window as its prior.
 */
export function afterClutches(eggs: EggTraits, clutches: readonly Clutch[]): EggTraits {
  const hatch = learned(eggs.unsure, seenOf(clutches, 'hatch'));
  const swim = learned(eggs.unsure, seenOf(clutches, 'swim'));
  const hatchDegreeDays = eggs.hatchDegreeDays * hatch.times;
  return {
    ...eggs,
    hatchDegreeDays,
    swimDegreeDays: Math.max(hatchDegreeDays, eggs.swimDegreeDays * swim.times),
    unsure: Math.min(hatch.unsure, swim.unsure),
  };
}

const seenOf = (clutches: readonly Clutch[], of: keyof Clutch): number[] =>
  clutches.flatMap((clutch) => clutch[of] ?? []);

function learned(unsure: number, seen: readonly number[]): { times: number; unsure: number } {
  if (seen.length === 0) return { times: 1, unsure };
  const prior = Math.log(unsure) / NINE_OF_TEN;
  const report = seen.length / DIFFER ** 2;
  const precision = 1 / prior ** 2 + report;
  const mean = seen.reduce((sum, ratio) => sum + Math.log(ratio), 0) / seen.length;
  // The next clutch differs from the mean of all, as each of those did.
  const next = Math.hypot(Math.sqrt(1 / precision), DIFFER / 2);
  return {
    times: Math.exp((report * mean) / precision),
    unsure: Math.min(unsure, Math.max(MIN_UNSURE, Math.exp(NINE_OF_TEN * next))),
  };
}
