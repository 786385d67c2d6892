import type { Species } from '@open-larder/catalogue';
import { daysToLength, youngLengthCm, type YoungTraits } from '../brood/length';

export type Grown = Pick<Species, 'lengthMass' | 'adultLengthCm' | 'growth' | 'tempOptC'>;

/** A larva of which nothing else is known. The curve is used from longer fish on only. */
const LARVA_MM = 4;

const traitsOf = (species: Grown): YoungTraits => ({ ...species, larvalLengthMm: LARVA_MM });

/**
 * Length of one of its kind some days after it had a length, well fed.
 * @param days 0 or more
 * @returns cm; no less than it had, though its kind grows no longer
 */
export function usualLength(species: Grown, tempC: number, fromCm: number, days: number): number {
  const traits = traitsOf(species);
  const age = daysToLength(traits, Math.max(LARVA_MM / 10 + 1e-6, fromCm), tempC);
  if (age === null) return fromCm;
  return Math.max(fromCm, youngLengthCm(traits, Math.min(3650, age + days), tempC));
}

/** Days that one of a species takes to grow from a length to another, well fed; null where it never does. */
export function daysFrom(
  species: Grown,
  tempC: number,
  fromCm: number,
  toCm: number,
): number | null {
  const traits = traitsOf(species);
  const now = daysToLength(traits, Math.max(LARVA_MM / 10 + 1e-6, fromCm), tempC);
  const then = daysToLength(traits, toCm, tempC);
  return now === null || then === null ? null : then - now;
}
