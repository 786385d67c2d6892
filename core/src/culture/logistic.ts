import { assertRange } from '../units';

/** A culture that grows until it is crowded: water fleas, rotifers, worms in their substrate. */
export interface Logistic {
  /** Growth rate while there is room, 1/d. */
  rPerDay: number;
  /** How far a vessel’s own rate is off: standard deviation, 1/d. */
  rSd?: number;
  /** The most that lives in the vessel, in whatever its animals are counted in. */
  capacity: number;
}

/**
 * Animals after some days of growth, exactly, by the logistic equation.
 * @param count animals now, 0 or more; above capacity they die back to it
 * @param days  0 or more
 * @throws RangeError for a negative count or time
 * Source: Verhulst's logistic growth, in closed form.
 */
export function grown({ rPerDay, capacity }: Logistic, count: number, days: number): number {
  assertRange('days', days, 0, 3650);
  if (count < 0) throw new RangeError('a culture cannot hold fewer than no animals');
  if (count === 0 || capacity <= 0) return 0;
  return capacity / (1 + (capacity / count - 1) * Math.exp(-rPerDay * days));
}

/**
 * The most that can be taken a day for good: at half of its capacity a culture grows fastest.
 * @returns animals a day
 * Source: greatest lasting yield of logistic growth, r·K/4 (Schaefer 1954).
 */
export const lastingHarvest = ({ rPerDay, capacity }: Logistic): number => (rPerDay * capacity) / 4;

/**
 * What is left in a vessel from which most is taken once a day: from there it grows most until the
 * next day. A little under half of its capacity, and the half for slow growth.
 * @returns animals left after the harvest; the daily harvest is what they grow by, K·tanh(r/4), which
 *   is r·K/4 for slow growth
 */
export const leftForMost = ({ rPerDay, capacity }: Logistic): number =>
  capacity / (1 + Math.exp(rPerDay / 2));

/** Of what a thin culture grows by in a day, so much may be taken: it still grows. Assumption. */
const OF_GROWTH = 0.5;

/**
 * What can be taken today without harm to what follows: down to where it grows most; of a culture that
 * is thinner than that, half of what it grows by in a day.
 * @returns animals
 */
export function safeHarvest(model: Logistic, count: number): number {
  const over = count - leftForMost(model);
  return Math.max(0, over, OF_GROWTH * (grown(model, count, 1) - count));
}

/**
 * Days until a culture is back at a size, by the logistic equation.
 * @param from animals left after the harvest
 * @param to   animals that are waited for
 * @returns days; 0 where they are there already, null where it never gets there
 */
export function daysUntil(
  { rPerDay, capacity }: Logistic,
  from: number,
  to: number,
): number | null {
  if (from >= to) return 0;
  if (from <= 0 || rPerDay <= 0 || to >= capacity) return null;
  return Math.log((to * (capacity - from)) / (from * (capacity - to))) / rPerDay;
}
