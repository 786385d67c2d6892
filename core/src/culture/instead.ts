import type { CultureKind } from '@open-larder/catalogue/cultures';
import { wayOf } from './ways';

/** What of a food shows whether it can stand in for live food. */
export interface Dead {
  id: string;
  name: string;
  kind: string;
  particleMinMm: number | null;
  particleMaxMm: number | null;
  plantShare: number;
  leftG: number;
}

export interface Instead {
  id: string;
  name: string;
  /** Its pieces are of the size of the live food. */
  fits: boolean;
}

/** Particles of this share of the live food's size up to this many times it still do. Assumption. */
const SMALLER = 0.4;
const LARGER = 1.5;

/**
 * Foods on the shelf that can stand in where a live food falls short: animal food first, of the right
 * size; of those without a size nothing is claimed.
 */
export function insteadOf(
  kind: Pick<CultureKind, 'sizeMinUm' | 'sizeMaxUm' | 'model'>,
  foods: readonly Dead[],
): Instead[] {
  const plant = wayOf(kind).isPlant;
  const [low, high] = [(kind.sizeMinUm / 1000) * SMALLER, (kind.sizeMaxUm / 1000) * LARGER];
  return (
    foods
      // A mix's ingredients are no meal of their own.
      .filter(({ kind: what, leftG }) => what !== 'live' && what !== 'mix' && leftG > 0)
      .filter(({ plantShare }) => (plant ? plantShare > 0.5 : plantShare < 0.5))
      .map(({ id, name, kind: what, particleMinMm, particleMaxMm }) => ({
        id,
        name,
        frozen: what === 'frozen',
        fits:
          particleMinMm !== null &&
          particleMaxMm !== null &&
          particleMinMm <= high &&
          particleMaxMm >= low,
        unknown: particleMinMm === null,
      }))
      .filter(({ fits, unknown }) => fits || unknown)
      .sort((a, b) => Number(b.fits) - Number(a.fits) || Number(b.frozen) - Number(a.frozen))
      .map(({ id, name, fits }) => ({ id, name, fits }))
  );
}
