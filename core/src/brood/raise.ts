import { assertRange } from '../units';
import { MAX_CM_PER_L } from './tub';

/** What a house has for a brood, and what one of it wants. */
export interface FeedingModel {
  /** Litres of tubs and tanks that are free for them at the end. */
  litres: number;
  /** Length at which someone takes them, cm. */
  targetCm: number;
  /** Live food that cultures give lastingly, kJ a day, and what one eats of it when it eats most, kJ. */
  liveKj: number;
  oneKj: number;
  /** Minutes a day that the keeper has for it, those that a tub asks for, and litres of a tub. */
  minutes: number;
  minutesPerTub: number;
  litresPerTub: number;
}

export interface Raisable {
  count: number;
  limit: 'litres' | 'food' | 'minutes';
  byLitres: number;
  byFood: number;
  byMinutes: number;
}

/**
 * How many young this house can raise to a length: by its litres, its live food, and its minutes.
 * @throws RangeError for a length, a tub or a need that is not there
 */
export function raisable(house: FeedingModel): Raisable {
  assertRange('length at which they go', house.targetCm, 0.1, 200);
  assertRange('litres of a tub', house.litresPerTub, 0.05, 50_000);
  const perTub = (MAX_CM_PER_L * house.litresPerTub) / house.targetCm;
  const byLitres = Math.floor((MAX_CM_PER_L * house.litres) / house.targetCm);
  const byFood = house.oneKj > 0 ? Math.floor(house.liveKj / house.oneKj) : Infinity;
  const tubs = house.minutesPerTub > 0 ? Math.floor(house.minutes / house.minutesPerTub) : Infinity;
  const byMinutes = Math.floor(tubs * perTub);
  const count = Math.min(byLitres, byFood, byMinutes);
  const limit = count === byLitres ? 'litres' : count === byFood ? 'food' : 'minutes';
  return { count, limit, byLitres, byFood, byMinutes };
}

/** Adults take young that their mouth has room for: a body is about a quarter as deep as it is long. Assumption. */
const DEPTH_OF_LENGTH = 0.25;

/** Length from which on the parents' mouths have no room for them, cm. */
export const safeBesideCm = (adultLengthCm: number, gapeShare: number): number =>
  (gapeShare * adultLengthCm) / DEPTH_OF_LENGTH;
