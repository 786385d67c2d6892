import { assertRange } from '../units';
import { MAX_CM_PER_L } from './tub';

/** What a house has for a brood. */
export interface FeedingModel {
  /** Litres of tubs and tanks that are free for them. */
  litres: number;
  /** Minutes a day that the keeper has for it, those that a tub asks for, and litres of a tub. */
  minutes: number;
  minutesPerTub: number;
  litresPerTub: number;
  /** Seasoned water that can be ready each day, litres; null sets no limit. */
  waterL: number | null;
}

/** What one young asks for at a length. */
export interface RaiseNeed {
  lengthCm: number;
  /** Live food: grams a day that cultures give lastingly, and that one eats; null where none is given then. */
  live: { lastingG: number; oneG: number } | null;
  /** Seasoned water a day; null where it is not known, or a filter does its work. */
  waterL: number | null;
}

export const RAISE_LIMITS = ['room', 'food', 'minutes', 'water'] as const;
export type RaiseLimit = (typeof RAISE_LIMITS)[number];

export interface Raisable {
  count: number;
  /** What binds first. */
  limit: RaiseLimit;
  /** What each allows; null sets no limit. */
  by: Record<RaiseLimit, number | null>;
}

/**
 * How many young this house can keep at a length: by room, live food, minutes and water.
 * @throws RangeError for a length or a tub that is not there
 */
export function raisable(house: FeedingModel, need: RaiseNeed): Raisable {
  assertRange('length of the young', need.lengthCm, 0.1, 200);
  assertRange('litres of a tub', house.litresPerTub, 0.05, 50_000);
  const inLitres = (litres: number) => Math.floor((MAX_CM_PER_L * litres) / need.lengthCm);
  const share = (all: number, one: number) => (one > 0 ? Math.floor(all / one) : null);
  // A tub is attended to whole: what of it one more would need is no whole tub.
  const tubs = house.minutesPerTub > 0 ? Math.floor(house.minutes / house.minutesPerTub) : Infinity;
  const by: Raisable['by'] = {
    room: inLitres(house.litres),
    food: need.live && share(need.live.lastingG, need.live.oneG),
    minutes: Number.isFinite(tubs) ? inLitres(tubs * house.litresPerTub) : null,
    water: house.waterL === null || need.waterL === null ? null : share(house.waterL, need.waterL),
  };
  const limit = RAISE_LIMITS.reduce((least, one) =>
    (by[one] ?? Infinity) < (by[least] ?? Infinity) ? one : least,
  );
  return { count: by[limit]!, limit, by };
}

/** Demand beyond so many times what the cultures give lastingly is not to be met. Assumption. */
const ABSURD_TIMES = 4;

/** Whether so many young would eat far more live food than any household keeps up. */
export const isAbsurd = ({ live }: RaiseNeed, count: number): boolean =>
  live !== null && live.oneG * count > Math.max(ABSURD_TIMES * live.lastingG, 1);

/** Adults take young that their mouth has room for: a body is about a quarter as deep as it is long. Assumption. */
const DEPTH_OF_LENGTH = 0.25;

/** Length from which on the parents' mouths have no room for them, cm. */
export const safeBesideCm = (adultLengthCm: number, gapeShare: number): number =>
  (gapeShare * adultLengthCm) / DEPTH_OF_LENGTH;
