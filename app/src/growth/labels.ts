import type { Refusal, GrowthStatus, PhotoLength } from '@open-larder/core/growth';
import { MIN_DAYS } from '@open-larder/core/growth';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';

export const REFUSALS: Record<Refusal, string> = {
  tooFew: `No curve yet: measure a few on ${MIN_DAYS} days or more.`,
  tooShort: 'No curve yet: two weeks of measurements are too short to see growth.',
  noGrowth: 'No curve: the growth between measurements is smaller than the measuring error.',
  shrinks: 'No curve: they get shorter. Did you measure other fish, or use another unit?',
  noFit: 'No curve fits these measurements. Are two batches mixed, or is one mistyped?',
};

export const PHOTO_WARNINGS: Record<PhotoLength['warnings'][number], string> = {
  slanted:
    'The ruler is seen at a slant: its two stretches differ. Lengths are read where each fish lies; straight from the side is surer.',
  farFromRuler:
    'A fish lies far from the ruler: nearer to the lens than the ruler it looks longer, further away shorter.',
};

export function formatAgainst(status: GrowthStatus, format: Format): string | null {
  const last = status.samples.at(-1);
  if (status.against === null || status.usualCm === null || !last) return null;
  const usual = format.quantity('length', status.usualCm);
  switch (status.against) {
    case 'ahead':
      return `Ahead of the usual ${usual} at that age.`;
    case 'behind':
      return `Behind the usual ${usual} at that age: check bellies, temperature, and who gets the food.`;
    case 'as usual':
      return `As usual: ${usual} at that age.`;
    case 'unsure':
      return `Usual at that age: ${usual}. Too few were measured to compare; measure a few more.`;
  }
}

export function formatReached(
  reached: GrowthStatus['reached'],
  targetCm: number,
  format: Format,
): string | null {
  if (reached === null) return null;
  const length = format.quantity('length', targetCm);
  if (reached === 'there') return `${length} is reached.`;
  if (reached === 'never') return `${length} will not be reached as they grow now.`;
  const until = reached.to === null ? 'or much later' : `and ${format.day(reached.to)}`;
  return `${length} about ${format.day(reached.day)}, likely between ${format.day(reached.from)} ${until}, ${
    reached.by === 'curve'
      ? 'by their own curve'
      : 'as usual for the species: their own curve is not known yet'
  }.`;
}

export function formatSorting({ sorting }: GrowthStatus, format: Format): string | null {
  if (sorting === null) return null;
  const at = format.quantity('length', sorting.atCm);
  const apart = `at ${at} there are ${sorting.small} below and ${sorting.large} above`;
  return sorting.mixed
    ? `Two batches rather than one: ${apart}. Separate them, and measure each.`
    : `${sorting.urgent ? 'Sort them now' : 'Sort them soon'}: the large ones take the food of the small ones, or eat them; ${apart}.`;
}

export const formatPercent = (share: number): string => `${formatNumber(share * 100, 0)} %`;
