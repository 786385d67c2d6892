import { widthAt } from '../mouth';
import type { FeedTank } from './feeding';
import type { Item } from './item';

/**
 * Gaps between the grains of a ground, mm, and the share of fine food that ends up in them. Gravel of
 * about 4 mm leaves gaps of some 0.4 of a grain; soil is finer and closes over; sand lets nothing in;
 * leaves lie in layers with wide gaps. Assumptions.
 */
const GAPS: Partial<Record<NonNullable<FeedTank['ground']>, { gapMm: number; max: number }>> = {
  gravel: { gapMm: 1.6, max: 0.7 },
  soil: { gapMm: 1.2, max: 0.4 },
  'leaf litter': { gapMm: 4, max: 0.6 },
};

/** Share of an item's pieces that fall between the grains where they come to rest, 0..1. */
export function buriedShare(
  { swims, sizeMm, pieces }: Pick<Item, 'swims' | 'sizeMm' | 'pieces'>,
  ground: FeedTank['ground'],
): number {
  const gaps = ground && GAPS[ground];
  if (!gaps || swims) return 0;
  // What lies flat on the grains does not fall between them, however thin it is.
  const across = (widthAt(pieces, sizeMm) + sizeMm) / 2;
  return gaps.max * Math.max(0, 1 - across / gaps.gapMm);
}
