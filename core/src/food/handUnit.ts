import { sayNumber, saySignificant } from '../units';
import type { Known } from '../why';

/** What a hand can deal: a pinch, a quarter tablet, half a cube. */
export interface HandUnit {
  name: string;
  plural: string;
  /** Grams as fed in one unit. */
  massG: number;
  /** Smallest part a hand can deal: 1 for pellets, 0.25 for a tablet. */
  step: number;
  /** How its mass came about; where it is missing, it is the keeper's guess. */
  mass?: Known;
}

/** Steps whose share is a common fraction are said as one: «½ cube», not «0.5 cube». */
const FRACTIONS: Record<string, string> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/**
 * Grams as hand units, to the nearest step, at least one step where anything is wanted.
 * @param massG grams as fed, 0 or more
 * @returns number of units, a whole multiple of `step`
 */
export function toHandUnits(massG: number, unit: Pick<HandUnit, 'massG' | 'step'>): number {
  if (massG <= 0) return 0;
  const steps = Math.max(1, Math.round(massG / unit.massG / unit.step));
  return tidy(steps * unit.step);
}

/** Hand units in grams as fed. */
export function toGrams(units: number, unit: Pick<HandUnit, 'massG'>): number {
  return units * unit.massG;
}

/** «3 pinches», «½ cube», «1¼ tablets». */
export function sayUnits(units: number, unit: HandUnit): string {
  const whole = Math.floor(units + 1e-9);
  const fraction = FRACTIONS[sayNumber(units - whole, 2)];
  const number =
    fraction === undefined ? sayNumber(units, 2) : whole === 0 ? fraction : `${whole}${fraction}`;
  return `${number} ${units > 1 ? unit.plural : unit.name}`;
}

/** «0.16 g»: three significant digits. */
export function sayGrams(massG: number): string {
  return massG < 0.001 && massG > 0
    ? `${saySignificant(massG * 1000)} mg`
    : `${saySignificant(massG)} g`;
}

/** Keep multiples of a step free of binary dust (0.1 + 0.2). */
const tidy = (value: number) => Math.round(value * 1e6) / 1e6;
