import { assertRange } from '../units';

/** A figure at some temperatures: [°C, value], the coldest first. */
export type ByWarmth = readonly (readonly [tempC: number, value: number])[];

/**
 * A figure at a temperature, on straight lines between those that are known; beyond the outermost it
 * stays as it is there.
 * @throws RangeError outside 0 to 40 °C, or where nothing is known
 */
export function atWarmth(known: ByWarmth, tempC: number): number {
  assertRange('water temperature in °C', tempC, 0, 40);
  const first = known[0];
  const last = known.at(-1);
  if (!first || !last) throw new RangeError('no figure is known at any temperature');
  if (tempC <= first[0]) return first[1];
  const at = known.findIndex(([knownC]) => knownC >= tempC);
  if (at < 0) return last[1];
  const [below, above] = [known[at - 1]!, known[at]!];
  const share = (tempC - below[0]) / (above[0] - below[0]);
  return below[1] + share * (above[1] - below[1]);
}
