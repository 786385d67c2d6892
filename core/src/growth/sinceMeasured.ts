import type { GrownFrom } from '../fish';
import type { Grew } from '../group';
import { daysBetween } from '../round';
import { slowAndFast } from '../brood/length';
import { usualLength, type Grown } from './usual';

/** Nine in ten of what is spread evenly to both sides, in standard deviations. */
const NINE_OF_TEN = 1.645;

/** Days in which a group grew since it was measured, up to a day. */
export const daysGrown = ({ days, since }: Grew, day: string): number =>
  days + (since === null ? 0 : Math.max(0, daysBetween(since, day)));

/**
 * What a group that was measured is long by now, well fed: as its kind grows.
 * @param days in which it grew since, 0 or more
 * @returns the mean total length in cm, and what it was worked out from; null where it did not grow
 */
export function grownSince(
  species: Grown,
  tempC: number,
  measuredCm: number,
  days: number,
): { lengthCm: number; from: GrownFrom } | null {
  if (days <= 0) return null;
  const lengthCm = usualLength(species, tempC, measuredCm, days);
  if (lengthCm <= measuredCm) return null;
  const { slow, fast } = slowAndFast(species);
  const ends = [slow, fast].map((one) => usualLength(one, tempC, measuredCm, days));
  const sd = Math.log(ends[1]! / ends[0]!) / (2 * NINE_OF_TEN);
  const within = Math.exp(NINE_OF_TEN * sd);
  const [lowCm, highCm] = [lengthCm / within, lengthCm * within];
  return { lengthCm, from: { measuredCm, days, lowCm, highCm, sd } };
}
