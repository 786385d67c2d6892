import type { Breeding } from '@open-larder/catalogue';

/**
 * Days from mating, or from the last brood, until young are there, for kinds whose eggs nobody waits for.
 * Source: general keeping practice; warmth shifts them, an assumption.
 */
export const WAITS: Partial<Record<Breeding, { from: number; to: number }>> = {
  'live-bearer': { from: 24, to: 35 },
  'mussel spawner': { from: 21, to: 35 },
};
