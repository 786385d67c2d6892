import { formatSignificant } from '../units';
import type { Known } from '../why';
import { formatAmount } from './amount';
import { dealtFiner, finerDeal, type Finer } from './finer';

/** What a hand can deal: a pinch, a quarter tablet, half a cube. */
export interface HandUnit {
  name: string;
  plural: string;
  /** Grams as fed in one unit. */
  massG: number;
  /** Smallest part a hand can deal: 1 for pellets, 0.25 for a tablet. */
  step: number;
  /** How less than a step is dealt, the coarsest first; left out where it cannot be. */
  finer?: readonly Finer[];
  /** How its mass came about; where it is missing, it is the keeper's guess. */
  mass?: Known;
}

/**
 * Grams as hand units, to the nearest step. Far less than a step is dealt in the unit's finer way
 * where it has one; else one step is the least.
 * @param massG grams as fed, 0 or more
 * @returns number of units, a whole multiple of `step` or of a finer step
 */
export function toHandUnits(
  massG: number,
  unit: Pick<HandUnit, 'massG' | 'step' | 'finer'>,
): number {
  if (massG <= 0) return 0;
  const less = finerDeal(massG, unit);
  if (less) return tidy(less.units);
  const steps = Math.max(1, Math.round(massG / unit.massG / unit.step));
  return tidy(steps * unit.step);
}

/** Hand units in grams as fed. */
export function toGrams(units: number, unit: Pick<HandUnit, 'massG'>): number {
  return units * unit.massG;
}

/** «3 pinches», «½ cube», «1¼ tablets». */
export function formatUnits(
  units: number,
  unit: Pick<HandUnit, 'name' | 'plural' | 'step' | 'finer'>,
): string {
  const less = dealtFiner(units, unit);
  return less ? formatCount(less.units, less.finer) : formatCount(units, unit);
}

function formatCount(units: number, unit: { name: string; plural: string }): string {
  return `${formatAmount(units)} ${units > 1 ? unit.plural : unit.name}`;
}

/** «0.16 g»: three significant digits. */
export function formatGrams(massG: number): string {
  return massG < 0.01 && massG > 0
    ? `${formatSignificant(massG * 1000)} mg`
    : `${formatSignificant(massG)} g`;
}

/** Below this a mass that is worked out is shown in milligrams. */
const MILLIGRAMS_BELOW_G = 0.1;

/** «52 mg», «0.24 g»: to the two digits that a mass worked out from a length has. */
export const formatBodyMass = (massG: number): string =>
  massG < MILLIGRAMS_BELOW_G
    ? `${formatSignificant(massG * 1000, 2)} mg`
    : `${formatSignificant(massG, 2)} g`;

/** «0.18 to 0.27 g»: what lies within one factor of a mass. */
export function formatGramBand(massG: number, factor: number): string {
  const low = massG / factor;
  const high = massG * factor;
  return massG < MILLIGRAMS_BELOW_G
    ? `${formatSignificant(low * 1000, 2)} to ${formatSignificant(high * 1000, 2)} mg`
    : `${formatSignificant(low, 2)} to ${formatSignificant(high, 2)} g`;
}

/** Keep multiples of a step free of binary dust (0.1 + 0.2). */
const tidy = (value: number) => Math.round(value * 1e6) / 1e6;
