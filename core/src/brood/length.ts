import type { Growth } from '@open-larder/catalogue';
import { assertRange } from '../units';

/** What of a species shows how its young grow. */
export interface YoungTraits {
  /** When it swims free. */
  larvalLengthMm: number;
  tempOptC: number;
  growth: Pick<Growth, 'linfCm' | 'kPerYear' | 'spread'>;
}

/** Growth runs twice as fast for ten degrees, up to its best temperature. Assumption. */
const Q10 = 2;
const DAYS_A_YEAR = 365.25;

/** The same fish at the slowest and the fastest that healthy ones grow, nine times of ten. */
export const slowAndFast = <T extends Pick<YoungTraits, 'growth'>>(
  traits: T,
): { slow: T; fast: T } => {
  const at = (times: number): T => ({
    ...traits,
    growth: { ...traits.growth, kPerYear: traits.growth.kPerYear * times },
  });
  return { slow: at(1 / traits.growth.spread), fast: at(traits.growth.spread) };
};

/**
 * Total length of a young fish so many days after it swims free, well fed.
 * @param days  0 or more
 * @param tempC usual water temperature since; over its best it grows no faster
 * @returns cm
 * Source: von Bertalanffy, from the length of a larva.
 */
export function youngLengthCm(traits: YoungTraits, days: number, tempC: number): number {
  assertRange('days since it swims free', days, 0, 3650);
  const { linfCm, kPerYear } = traits.growth;
  const warmth = Q10 ** ((Math.min(tempC, traits.tempOptC) - traits.tempOptC) / 10);
  const start = traits.larvalLengthMm / 10;
  const grown = Math.exp((-kPerYear * warmth * days) / DAYS_A_YEAR);
  return linfCm - (linfCm - start) * grown;
}

/**
 * Days from swimming free until a length is reached.
 * @returns null where it never is
 */
export function daysToLength(traits: YoungTraits, lengthCm: number, tempC: number): number | null {
  const { linfCm, kPerYear } = traits.growth;
  const start = traits.larvalLengthMm / 10;
  if (lengthCm <= start) return 0;
  if (lengthCm >= linfCm) return null;
  const warmth = Q10 ** ((Math.min(tempC, traits.tempOptC) - traits.tempOptC) / 10);
  return (-DAYS_A_YEAR / (kPerYear * warmth)) * Math.log((linfCm - lengthCm) / (linfCm - start));
}
