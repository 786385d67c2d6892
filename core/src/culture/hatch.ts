import { assertRange } from '../units';
import { atWarmth, type ByWarmth } from './warmth';

/**
 * Hours until brine shrimp hatch, by the temperature of the brine.
 * Source: practice of hatcheries after Lavens & Sorgeloos 1996, FAO Fisheries Technical Paper 361.
 */
const HATCH_H: ByWarmth = [
  [16, 72],
  [20, 48],
  [24, 36],
  [28, 24],
  [30, 22],
];
/** Cysts in a gram, of the usual sizes. Source: as above, 200 000 to 300 000. */
export const CYSTS_PER_G = 250_000;
/** Share that hatches without a count. Assumption within 60 to 90 %. */
export const HATCH_SHARE = 0.75;
/** Grams of salt and, at most, of cysts in a litre. Source: as above. */
export const SALT_G_L = 25;
export const MAX_CYSTS_G_L = 2;
/** Dry mass of one that has just hatched, µg. Source: as above. */
export const NAUPLIUS_UG = 1.8;
/** Share of its energy that one loses in its first day at room temperature, and in the cold. */
const LOST_PER_DAY = 0.25;
const LOST_COLD_PER_DAY = 0.03;
/** Held in the cold longer than this they die. Assumption. */
export const COLD_MOST_H = 48;

/** Hours from setting a jar up until it is harvested. @throws RangeError outside 0 to 40 °C */
export const hatchHours = (tempC: number): number => atWarmth(HATCH_H, tempC);

/** A jar to set up. */
export interface Jar {
  cystsG: number;
  litres: number;
  saltG: number;
  /** What comes of it, animals. */
  nauplii: number;
}

/**
 * The jar that gives a number of brine shrimp.
 * @param hatchShare share of the cysts that hatch, 0 to 1: the keeper's own, once some were counted
 * @throws RangeError for a share that hatches nothing, or a negative number
 */
export function jarFor(nauplii: number, hatchShare = HATCH_SHARE): Jar {
  assertRange('share that hatches', hatchShare, 0.01, 1);
  assertRange('brine shrimp', nauplii, 0, 1e9);
  const cystsG = nauplii / (CYSTS_PER_G * hatchShare);
  const litres = cystsG / MAX_CYSTS_G_L;
  return { cystsG, litres, saltG: litres * SALT_G_L, nauplii };
}

/** Share of its energy at hatching that one still has. @param hours since it hatched, 0 or more */
export function energyLeft(hours: number, cold: boolean): number {
  assertRange('hours since hatching', hours, 0, 24 * 30);
  return (1 - (cold ? LOST_COLD_PER_DAY : LOST_PER_DAY)) ** (hours / 24);
}

/**
 * Jars set up in turn, so that one is ready each day.
 * @param tempC        of the brine
 * @param harvestAtMin minute of the day at which the shrimp are wanted
 * @param handyMin     minutes of the day at which someone is there to set one up: the last of them
 *   before it must be is taken. Without any, to the minute
 * @returns how many jars stand at once, when each is set up, hours to hatching, and hours that what has
 *   hatched waits then
 */
export function staggered(
  tempC: number,
  harvestAtMin: number,
  handyMin: readonly number[] = [],
): { jars: number; startMin: number; hours: number; waitsH: number } {
  const hours = hatchHours(tempC);
  const latest = inDay(harvestAtMin - Math.round(hours * 60));
  const early = handyMin.map((minute) => inDay(latest - minute));
  const wait = early.length > 0 ? Math.min(...early) : 0;
  const lastsH = hours + wait / 60;
  return {
    jars: Math.max(1, Math.ceil(lastsH / 24)),
    startMin: inDay(latest - wait),
    hours,
    waitsH: wait / 60,
  };
}

const inDay = (minutes: number) => ((minutes % 1440) + 1440) % 1440;
