import { assertRange } from '../units';

/** A larva's gape, as a share of its length. Starting value; the mouth of a species takes over. */
export const LARVAL_GAPE = 0.08;
/** Prey up to this share of the gape goes in. Source: Shirota 1970, rounded. */
export const WIDEST_OF_GAPE = 0.4;
/** From this length on the mouth is that of its species. Assumption: a tenth of a metre's tenth. */
const GROWN_CM = 2;

/**
 * The widest prey that a young fish takes, µm.
 * @param lengthCm  its total length
 * @param gapeShare of an adult of its species, of its length
 */
export function widestPreyUm(lengthCm: number, gapeShare: number): number {
  assertRange('total length in cm', lengthCm, 0.01, 300);
  // From the larva's wide mouth to that of its kind, as it grows.
  const grown = Math.min(1, lengthCm / GROWN_CM);
  const share = LARVAL_GAPE + (gapeShare - LARVAL_GAPE) * grown;
  return WIDEST_OF_GAPE * share * lengthCm * 10_000;
}
