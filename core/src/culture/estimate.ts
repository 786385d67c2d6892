import { assertRange } from '../units';
import { driftOf, MAX_SD } from './drift';
import { grown, type Logistic } from './logistic';

/** How dense a culture looks, as shares of what its vessel carries. Assumptions. */
export const DENSITIES = [0.02, 0.1, 0.25, 0.5, 0.9] as const;
/** Looks by number: hardly any, thin, fair, dense, crowded. */
export type Density = 1 | 2 | 3 | 4 | 5;

/** What happened to a vessel, at a day counted from its start. */
export type BeliefEvent = { day: number } & (
  | { kind: 'seen'; density: Density }
  /** Counted in a spoon, and so many in the whole vessel. */
  | { kind: 'counted'; count: number }
  | { kind: 'harvested'; count: number }
  /** A share of it is left here, after a split or a change of water. */
  | { kind: 'kept'; share: number }
  | { kind: 'added'; count: number }
  | { kind: 'crashed' }
  /** It was there before anything was written of it: what is believed says little. */
  | { kind: 'unknown' }
);

/** What is believed to be in a vessel, with the band in which it lies nine times of ten. */
export interface Estimate {
  day: number;
  count: number;
  low: number;
  high: number;
  /** Standard deviation of the logarithm. */
  sd: number;
  /** Days since anyone saw, counted or took anything. */
  unseenDays: number;
  /** More was taken than was believed to be there. */
  surprised: boolean;
}

/** How far a look, a count and the first guess may be off: of the logarithm. Assumptions. */
export const LOOK_SD = 0.5;
export const COUNT_SD = 0.15;
const START_SD = 0.5;
/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/** Nobody nets out more than this share of what is there. Assumption. */
const MAX_TAKEN = 0.9;
/** Fewer than this is none. */
const NONE = 0.5;

/**
 * What is in a vessel on a day, from what was put in and all that was seen and taken since: an extended
 * Kalman filter on the logarithm of the count, which grows by the logistic equation.
 * @param start  animals that it was started with
 * @param events by day, the oldest first; those after `day` are left out
 * @param on     how it grows on a day, 0 being the first: follows temperature and food
 * @throws RangeError for a day before the start
 */
export function estimate(
  start: number,
  events: readonly BeliefEvent[],
  day: number,
  on: (day: number) => Logistic,
): Estimate {
  assertRange('day since the start', day, 0, 3650);
  let at = 0;
  let mean = Math.log(Math.max(NONE, start));
  let variance = START_SD ** 2;
  let none = start <= 0;
  let seenAt = 0;
  let surprised = false;

  const growTo = (to: number) => {
    while (at < to - 1e-9) {
      const step = Math.min(1, to - at);
      const model = on(Math.floor(at));
      const count = Math.exp(mean);
      const next = Math.max(NONE, grown(model, count, step));
      // What is crowded is crowded whatever it was before: belief narrows as growth slows.
      const factor = Math.exp(model.rPerDay * step);
      const slope =
        model.capacity > 0 ? model.capacity / (model.capacity + count * (factor - 1)) : 1;
      mean = Math.log(next);
      variance = Math.min(MAX_SD ** 2, variance * slope ** 2 + driftOf(model.rSd, slope) * step);
      at += step;
    }
  };
  const learn = (count: number, sd: number) => {
    const gain = variance / (variance + sd ** 2);
    mean += gain * (Math.log(Math.max(NONE, count)) - mean);
    variance *= 1 - gain;
  };
  const become = (count: number) => {
    const before = Math.exp(mean);
    const after = Math.max(NONE, count);
    mean = Math.log(after);
    variance = Math.min(MAX_SD ** 2, variance * (before / after) ** 2);
  };

  for (const event of events) {
    if (event.day > day) break;
    growTo(event.day);
    if (event.kind !== 'kept' && event.kind !== 'unknown') seenAt = event.day;
    switch (event.kind) {
      case 'seen':
        learn(DENSITIES[event.density - 1]! * on(Math.floor(at)).capacity, LOOK_SD);
        break;
      case 'counted':
        none = event.count <= 0;
        learn(event.count, COUNT_SD);
        break;
      case 'harvested': {
        const min = event.count / MAX_TAKEN;
        if (Math.exp(mean) < min) {
          surprised = true;
          mean = Math.log(min);
          variance = Math.max(variance, LOOK_SD ** 2);
        }
        become(Math.exp(mean) - event.count);
        break;
      }
      case 'kept':
        mean += Math.log(Math.max(1e-6, event.share));
        break;
      case 'added':
        none = false;
        become(Math.exp(mean) + event.count);
        break;
      case 'unknown':
        variance = MAX_SD ** 2;
        break;
      case 'crashed':
        none = true;
        // What is put in afterwards begins anew.
        mean = Math.log(NONE);
    }
  }
  growTo(day);
  const sd = Math.sqrt(variance);
  const count = none ? 0 : Math.exp(mean);
  return {
    day,
    count,
    low: none ? 0 : count * Math.exp(-BAND * sd),
    high: none ? 0 : count * Math.exp(BAND * sd),
    sd,
    unseenDays: day - seenAt,
    surprised,
  };
}
