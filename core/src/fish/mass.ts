import type { Shape, Species } from '@open-larder/catalogue';
import { assertRange } from '../units';
import { assumed, computed, worded, type Known } from '../why';

interface LengthWeight {
  a: number;
  b: number;
}

interface Prior extends LengthWeight {
  source: string;
}

const FROESE = 'Froese, Thorson & Reyes 2014, J. Appl. Ichthyol. 30:78, body-shape priors';
const fish = (a: number, b: number): Prior => ({ a, b, source: FROESE });

/** W = a·L^b, grams and cm total length, by body shape. */
const SHAPE_PRIORS: Record<Shape, Prior> = {
  'eel-like': fish(0.00102, 3.06),
  elongated: fish(0.00389, 3.12),
  fusiform: fish(0.01122, 3.04),
  deep: fish(0.01995, 3.01),
  flat: {
    a: 0.009,
    b: 3.02,
    source: 'Assumption for flat-bodied fish: between the elongated and the fusiform prior',
  },
  shrimp: {
    a: 0.009,
    b: 3,
    source: 'Assumption: a 2.5 cm shrimp weighs about 0.14 g',
  },
  snail: {
    a: 0.06,
    b: 3,
    source: 'Assumption: soft body alone, about a third of the whole snail; height of the shell',
  },
};

/**
 * Standard deviation of log10(a) within a body shape, about 0.17 for all four
 * (Froese, Thorson & Reyes 2014): one fish in three lies outside mass ÷ 1.5 … mass × 1.5.
 */
const PRIOR_LOG10_SD = 0.17;

type Sized = Pick<Species, 'shape' | 'lwA' | 'lwB' | 'sourceSize'>;

function pairOf(species: Sized): Prior & { published: boolean } {
  return species.lwA !== null && species.lwB !== null
    ? { a: species.lwA, b: species.lwB, source: species.sourceSize, published: true }
    : { ...SHAPE_PRIORS[species.shape], published: false };
}

/** Total length in cm of a fish of that mass in grams: the other way round. */
export function lengthFromMass(species: Sized, massG: number): number {
  const { a, b } = pairOf(species);
  return (massG / a) ** (1 / b);
}

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
 * Source: published pair of the species where there is one, else Froese et al. 2014.
 */
export function massFromLength(species: Sized, lengthCm: Known): BodyMass {
  assertRange('total length in cm', lengthCm.value, 0.1, 200);
  const { a, b, source, published } = pairOf(species);
  const massG = computed(a * lengthCm.value ** b, {
    label: 'Mass of one fish',
    unit: 'g',
    how: 'a × length^b',
    source,
    from: [
      lengthCm,
      worded('Body shape', species.shape, 'assumed', species.sourceSize),
      assumed('a', a, 'g/cm^b', source),
      assumed('b', b, '', source),
    ],
  });
  return { massG, spreadFactor: published ? 1.15 : 10 ** PRIOR_LOG10_SD };
}
