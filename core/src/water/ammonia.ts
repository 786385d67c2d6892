import { assertRange } from '../units';

/** Un-ionised ammonia nitrogen from which on fry are in danger, mg/L. Starting value. */
export const CONCERN_MG_L = 0.02;

/**
 * Share of the total ammonia that is un-ionised (toxic) NH3.
 * @param ph    4 to 10
 * @param tempC water temperature in °C, 0 to 40
 * @returns fraction 0..1
 * @throws RangeError outside those ranges
 * Source: Emerson et al. 1975, J. Fish. Res. Board Can. 32:2379.
 */
export function unionisedShare(ph: number, tempC: number): number {
  assertRange('pH', ph, 4, 10);
  assertRange('temperature in °C', tempC, 0, 40);
  const pKa = 0.09018 + 2729.92 / (273.15 + tempC);
  return 1 / (10 ** (pKa - ph) + 1);
}
