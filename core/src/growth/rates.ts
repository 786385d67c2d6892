import { assertRange } from '../units';

/**
 * Specific growth rate.
 * @param fromG mass of one at first, g
 * @param toG   mass of one at the end, g
 * @returns per cent of its mass a day; below nothing where it lost mass
 * @throws RangeError without a day between, or a mass
 * Source: Ricker 1975, Fish. Res. Board Can. Bull. 191.
 */
export function specificGrowthRate(fromG: number, toG: number, days: number): number {
  assertRange('days between', days, 1, 10_000);
  assertRange('mass in g', fromG, 1e-9, 1e6);
  assertRange('mass in g', toG, 1e-9, 1e6);
  return (100 * Math.log(toG / fromG)) / days;
}

/** With all food noted no fish grows by less dry food than this a gram. Practice of fish farms. */
const MIN_CONVERSION = 0.4;

/**
 * Feed conversion: dry food eaten for a gram gained.
 * @returns null where nothing was gained, or where so little food was noted that no fish could have grown
 *   by it: then it says nothing
 * @throws RangeError for food below nothing
 */
export function foodConversion(dryG: number, gainedG: number): number | null {
  assertRange('dry food in g', dryG, 0, 1e9);
  const ratio = gainedG > 0 ? dryG / gainedG : 0;
  return ratio >= MIN_CONVERSION ? ratio : null;
}

/**
 * Relative condition: what it weighs against what its kind weighs at that length.
 * @returns 1 is as usual; below 0.9 is thin, above 1.15 is stout
 * Source: Le Cren 1951, J. Anim. Ecol. 20:201.
 */
export function relativeCondition(massG: number, usualG: number): number {
  assertRange('mass in g', massG, 1e-9, 1e6);
  assertRange('usual mass in g', usualG, 1e-9, 1e6);
  return massG / usualG;
}

/** What a relative condition is called. The bounds are assumptions. */
export const conditionWord = (condition: number): 'thin' | 'as usual' | 'stout' =>
  condition < 0.9 ? 'thin' : condition > 1.15 ? 'stout' : 'as usual';
