import type { LengthMass, Species } from '@open-larder/catalogue';
import { assertRange } from '../units';
import { assumed, computed, type Known } from '../why';

type Sized = Pick<Species, 'lengthMass'>;

/** Grams of a fish of that total length in cm, by a pair of standard or total length. */
const massAt = ({ a, b, standardShare }: LengthMass, lengthCm: number) =>
  a * (lengthCm * (standardShare ?? 1)) ** b;

/** Total length in cm of a fish of that mass in grams: the other way round. */
export function lengthFromMass({ lengthMass }: Sized, massG: number): number {
  const { a, b, standardShare } = lengthMass;
  return (massG / a) ** (1 / b) / (standardShare ?? 1);
}

/** Relatives of its own kind: only such a pair shows a thin fish from a stout one. */
export const hasOwnPair = ({ lengthMass }: Sized): boolean => lengthMass.level === 'own';

const RELATIVES: Record<LengthMass['level'], string> = {
  own: 'its own kind',
  genus: 'its genus',
  family: 'its family',
  shape: 'fish of its body shape',
};

export interface BodyMass {
  /** Mass of one fish in grams, with its derivation. */
  readonly massG: Known;
  /** One standard deviation as a factor: the true mass lies within ÷factor … ×factor in 2 of 3. */
  readonly spreadFactor: number;
}

/**
 * Mass of one fish from its total length.
 * @param lengthCm total length with its derivation, 0.1 to 200 cm
 * @throws RangeError outside that range
 * Source: published pair of the species or its relatives, else Froese, Thorson & Reyes 2014.
 */
export function massFromLength({ lengthMass }: Sized, lengthCm: Known): BodyMass {
  assertRange('total length in cm', lengthCm.value, 0.1, 200);
  const { a, b, source, length, standardShare, level } = lengthMass;
  const taken = length === 'standard' ? `${standardShare} × total length` : 'total length';
  const massG = computed(massAt(lengthMass, lengthCm.value), {
    label: 'Mass of one fish',
    unit: 'g',
    how: `a × (${taken})^b, from ${RELATIVES[level]}`,
    source,
    from: [lengthCm, assumed('a', a, 'g/cm^b', source), assumed('b', b, '', source)],
  });
  return { massG, spreadFactor: 10 ** lengthMass.spreadLog10 };
}
