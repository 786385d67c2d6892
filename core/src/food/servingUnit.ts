import type { Known } from '../why';
import { finerFor, type Finer } from './finer';

/** What a hand can measure: a pinch, a quarter tablet, half a cube. */
export interface ServingUnit {
  name: string;
  plural: string;
  /** Grams as fed in one unit. */
  massG: number;
  /** Smallest part a hand can measure: 1 for pellets, 0.25 for a tablet. */
  step: number;
  /** How less than a step is served, the coarsest first; left out where it cannot be. */
  finer?: readonly Finer[];
  /** How its mass came about; where it is missing, it is the keeper's guess. */
  mass?: Known;
}

/**
 * Grams as serving units, to the nearest step. Far less than a step is served in the unit's finer way
 * where it has one; else one step is the least.
 * @param massG grams as fed, 0 or more
 * @returns number of units, a whole multiple of `step` or of a finer step
 */
export function toServingUnits(
  massG: number,
  unit: Pick<ServingUnit, 'massG' | 'step' | 'finer'>,
): number {
  if (massG <= 0) return 0;
  const less = finerFor(massG, unit);
  if (less) return tidy(less.units);
  const steps = Math.max(1, Math.round(massG / unit.massG / unit.step));
  return tidy(steps * unit.step);
}

/** Serving units in grams as fed. */
export function toGrams(units: number, unit: Pick<ServingUnit, 'massG'>): number {
  return units * unit.massG;
}

/** Keep multiples of a step free of binary dust (0.1 + 0.2). */
const tidy = (value: number) => Math.round(value * 1e6) / 1e6;
