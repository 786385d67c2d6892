import { assertRange } from '../units';

/** What makes a culture likely to crash, each from what is known of it today. */
export interface Strain {
  /** Animals there are, of the most that the vessel carries: 0 upwards. */
  crowding: number;
  /** Degrees over what its kind bears. */
  tooWarmC: number;
  /** Clouded by food on this day. */
  overfed: boolean;
  /** Age of the vessel, and the age at which its kind grows tired, in days; null where it does not. */
  ageDays: number;
  tiredDays: number | null;
}

/** Chance a day that a young, half-full, cool and clear culture crashes. Assumption. */
const CALM = 0.004;
/** By how much each strain multiplies it. Assumptions. */
const PER_CROWDING = 6;
const PER_DEGREE = 1.5;
const OVERFED = 4;
const PER_TIRED_LIFE = 3;
/** Up to here a culture is not crowded: it grows best at a half. */
const ROOMY = 0.6;

/** Nearly certain crashes ask for endless backups: then the kind, not the number, is wrong. */
const MAX_BACKUPS = 20;

/** One cause of a crash, and what it multiplies the chance by. */
export interface Cause {
  cause: 'crowded' | 'warm' | 'overfed' | 'old';
  times: number;
}

/**
 * The chance that a culture crashes within the next day, with what raises it, the worst first.
 * @returns chance 0..1
 * @throws RangeError for a negative age or crowding
 */
export function crashHazard(strain: Strain): { perDay: number; causes: Cause[] } {
  assertRange('crowding', strain.crowding, 0, 1000);
  assertRange('age of the culture in days', strain.ageDays, 0, 3650);
  const tired = strain.tiredDays === null ? 0 : Math.max(0, strain.ageDays / strain.tiredDays - 1);
  const causes: Cause[] = [
    { cause: 'crowded' as const, times: 1 + PER_CROWDING * Math.max(0, strain.crowding - ROOMY) },
    { cause: 'warm' as const, times: PER_DEGREE ** Math.max(0, strain.tooWarmC) },
    { cause: 'overfed' as const, times: strain.overfed ? OVERFED : 1 },
    { cause: 'old' as const, times: 1 + PER_TIRED_LIFE * tired },
  ]
    .filter(({ times }) => times > 1)
    .sort((a, b) => b.times - a.times);
  const rate = causes.reduce((product, { times }) => product * times, CALM);
  return { perDay: 1 - Math.exp(-rate), causes };
}

/**
 * Vessels of a kind to keep, so that one at least outlives some days with a chance.
 * They are taken to crash each for itself: those that share water or tools do not, so that backups
 * belong on another shelf.
 * @param perDay chance that one crashes in a day, 0..1
 * @param sure   chance that one is left, 0.5 to 0.999
 */
export function vesselsFor(perDay: number, days: number, sure: number): number {
  assertRange('chance of a crash a day', perDay, 0, 0.99);
  assertRange('certainty', sure, 0.5, 0.999);
  const oneFails = 1 - (1 - perDay) ** days;
  if (oneFails <= 0) return 1;
  if (oneFails >= 1) return MAX_BACKUPS;
  return Math.max(1, Math.min(MAX_BACKUPS, Math.ceil(Math.log(1 - sure) / Math.log(oneFails))));
}

/**
 * Vessels of a kind to keep, kept as they should be: half full, cool and clear, in their best age.
 * @param days for so long without any new one
 * @param sure chance that one is left, 0.5 to 0.999
 */
export const backupsFor = (days: number, sure: number): number =>
  vesselsFor(1 - Math.exp(-CALM), days, sure);
