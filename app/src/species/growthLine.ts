import type { Species } from '@open-larder/catalogue';
import { slowAndFast, youngLengthCm } from '@open-larder/core/brood';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store/useFormat';

/** Ages at which keepers compare young fish, in months of thirty days. */
const MONTHS = [2, 4, 8, 12];
const NEAR_GROWN = 0.9;

/** Usual lengths of well-fed young at some ages, until the slowest of them are nearly full-grown. */
export function growthLine(species: Species, format: Format): string {
  const { slow, fast } = slowAndFast(species);
  const lengths = MONTHS.map((months) => ({
    months,
    from: youngLengthCm(slow, months * 30, species.tempOptC),
    to: youngLengthCm(fast, months * 30, species.tempOptC),
  }));
  const grown = lengths.findIndex(({ from }) => from > species.growth.linfCm * NEAR_GROWN);
  return lengths
    .slice(0, grown < 0 ? undefined : grown + 1)
    .map(
      ({ months, from, to }) =>
        `${months} months: ${formatNumber(format.scale('length').fromBase(from), 1)} to ${format.quantity('length', to)}`,
    )
    .join('\n');
}
