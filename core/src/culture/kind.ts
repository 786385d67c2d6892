import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Logistic } from './logistic';
import { atWarmth } from './warmth';
import type { Plateau } from './worms';

/** What of a kind its growth is computed from. */
export type Growing = Pick<
  CultureKind,
  | 'model'
  | 'capacity'
  | 'animalUg'
  | 'r15'
  | 'r20'
  | 'r25'
  | 'r30'
  | 'firstDays'
  | 'fullDays'
  | 'fadeDays'
  | 'overDays'
  | 'yieldGPerDay'
  | 'spread'
  | 'refC'
  | 'tempMinC'
  | 'tempMaxC'
>;

/** Nine of ten lie within so many standard deviations. */
const NINE_OF_TEN = 1.645;

/** How far the rate or yield of one vessel is off from its kind’s: of the logarithm. */
export const spreadSd = ({ spread }: Pick<Growing, 'spread'>): number =>
  Math.log(spread) / NINE_OF_TEN;

/** Grams of one of those that are counted; what is weighed is counted in grams. */
export const gramsOfOne = ({ animalUg }: Pick<Growing, 'animalUg'>): number =>
  animalUg === null ? 1 : animalUg / 1e6;

/**
 * How a kind that grows until it is crowded grows in a vessel.
 * @param measure litres or square decimetres
 * @param tempC   of its water; outside what the kind bears nothing grows
 * @param fed     how well it is fed: 1 as it should be, less where the food stays away
 * @throws RangeError for a kind that grows in another way, or a temperature outside 0 to 40 °C
 */
export function logisticOf(kind: Growing, measure: number, tempC: number, fed = 1): Logistic {
  const { capacity, r15, r20, r25, r30 } = kind;
  if (capacity === null || r15 === null || r20 === null || r25 === null || r30 === null) {
    throw new RangeError('this kind does not grow until it is crowded');
  }
  const rate = atWarmth(
    [
      [15, r15],
      [20, r20],
      [25, r25],
      [30, r30],
    ],
    tempC,
  );
  // Colder than any figure, it slows down to nothing at the coldest that the kind bears.
  const slow =
    tempC >= 15 ? 1 : Math.max(0, (tempC - kind.tempMinC) / Math.max(1, 15 - kind.tempMinC));
  const rPerDay = tempC > kind.tempMaxC ? 0 : rate * slow;
  return {
    rPerDay,
    rSd: rPerDay * spreadSd(kind),
    capacity: capacity * measure * Math.max(0, fed),
  };
}

/** The days of a kind that gives after a while, and the temperature that they are for. */
export function plateauOf(kind: Growing): Plateau {
  const { firstDays, fullDays, fadeDays, overDays, refC } = kind;
  if (
    firstDays === null ||
    fullDays === null ||
    fadeDays === null ||
    overDays === null ||
    refC === null
  ) {
    throw new RangeError('this kind has no days after which it gives');
  }
  return { firstDays, fullDays, fadeDays, overDays, refC };
}
