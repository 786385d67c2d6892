import { assumed, computed, measured, type Known } from '../why';

/** «Twenty pinches weighed 1.1 g», by one hand. */
export interface Weighing {
  hand: string;
  /** How many units were weighed together. */
  units: number;
  massG: number;
}

/** What one unit weighs, by the weighings there are. */
export interface UnitMass {
  /** Grams in one unit, with its derivation. */
  massG: Known;
  /** Standard deviation from one unit to the next, g; null from fewer than two weighings. */
  spreadG: number | null;
  /** Units and weighings behind it. */
  units: number;
  weighings: number;
}

/**
 * The mass of one serving unit: all that was weighed over all that was counted.
 * @param hand   whose hand; null pools every hand's weighings
 * @param usualG what stands until a unit is weighed in, g
 * The spread from unit to unit is recovered from weighings of many units at once: a mean of n
 * units varies by σ²/n, so σ² = Σ nᵢ(xᵢ − x̄)² ÷ (k − 1) (weighted one-way analysis of variance).
 */
export function unitMass(
  unitName: string,
  weighings: readonly Weighing[],
  hand: string | null,
  usualG: number,
): UnitMass {
  const own = hand === null ? weighings : weighings.filter((one) => one.hand === hand);
  const taken = own.length > 0 ? own : weighings;
  const label = `Mass of one ${unitName}`;
  if (taken.length === 0) {
    return {
      massG: assumed(label, usualG, 'g', 'food shelf: weigh twenty to know it'),
      spreadG: null,
      units: 0,
      weighings: 0,
    };
  }
  const units = taken.reduce((sum, one) => sum + one.units, 0);
  const grams = taken.reduce((sum, one) => sum + one.massG, 0);
  const mean = grams / units;
  const spreadG =
    taken.length < 2
      ? null
      : Math.sqrt(
          taken.reduce((sum, one) => sum + one.units * (one.massG / one.units - mean) ** 2, 0) /
            (taken.length - 1),
        );
  const whose = own.length > 0 && hand !== null ? `weighed by ${hand}` : 'weighed, all hands';
  return {
    massG: computed(mean, {
      label,
      unit: 'g',
      how: 'grams weighed ÷ units weighed',
      from: [measured('Weighed', grams, 'g', whose), measured('Counted', units, unitName, whose)],
    }),
    spreadG,
    units,
    weighings: taken.length,
  };
}
