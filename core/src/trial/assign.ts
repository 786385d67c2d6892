import { chanceOf } from '../chance';
import { assertRange } from '../units';

/** Which fish go to which side. */
export type Side = 'a' | 'b';

/**
 * Fish assigned to two sides at random, as many to each.
 * @param lengthsCm of the fish, in the order in which they were caught; null where only their number is known
 * @param seed      the same seed deals the same
 * @returns for each fish its side; with lengths, fish of one size are parted from each other. Of an odd
 *   number the one that is left over goes by chance
 * @throws RangeError for fewer than four fish
 */
export function randomised(lengthsCm: readonly (number | null)[], seed: number): Side[] {
  assertRange('fish to assign', lengthsCm.length, 4, 10_000);
  const chance = chanceOf(seed);
  const order = lengthsCm.map((length, at) => ({ at, length, tie: chance.even() }));
  const known = lengthsCm.every((length) => length !== null);
  order.sort((a, b) => (known ? a.length! - b.length! || a.tie - b.tie : a.tie - b.tie));
  const sides: Side[] = lengthsCm.map(() => 'a');
  for (let pair = 0; pair < order.length; pair += 2) {
    const first: Side = chance.even() < 0.5 ? 'a' : 'b';
    sides[order[pair]!.at] = first;
    const other = order[pair + 1];
    if (other) sides[other.at] = first === 'a' ? 'b' : 'a';
  }
  return sides;
}
