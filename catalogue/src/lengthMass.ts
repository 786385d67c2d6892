import type { SpeciesEntry } from './species';
import type { Shape } from './vocabulary';

/** How near the fish are from which a pair was taken: the nearer, the narrower its spread. */
export const PAIR_LEVELS = ['own', 'genus', 'family', 'shape'] as const;
export type PairLevel = (typeof PAIR_LEVELS)[number];

/** `W = a·L^b` in grams and centimetres, with where it comes from and how far it may be off. */
export interface LengthMass {
  /** Species, genus or family that it was taken from; the body shape where none of them is known. */
  taxon: string;
  level: PairLevel;
  /** The body shape that a family's pair is for; null where it serves every shape. */
  shape: Shape | null;
  a: number;
  b: number;
  /** Standard deviation of log10 of the mass at one length. */
  spreadLog10: number;
  /** The length that the pair takes. */
  length: 'total' | 'standard';
  /** Standard length as a share of total length; null where the pair takes total length. */
  standardShare: number | null;
  source: string;
}

const FROESE = 'Froese, Thorson & Reyes 2014, J. Appl. Ichthyol. 30:78, body-shape priors';
/** Standard deviation of log10(a) within a body shape (Froese, Thorson & Reyes 2014). */
const SHAPE_SPREAD = 0.17;

const prior = (shape: Shape, a: number, b: number, source = FROESE): LengthMass => ({
  taxon: shape,
  level: 'shape',
  shape,
  a,
  b,
  spreadLog10: SHAPE_SPREAD,
  length: 'total',
  standardShare: null,
  source,
});

const SHAPE_PRIORS: Record<Shape, LengthMass> = {
  'eel-like': prior('eel-like', 0.00102, 3.06),
  elongated: prior('elongated', 0.00389, 3.12),
  fusiform: prior('fusiform', 0.01122, 3.04),
  deep: prior('deep', 0.01995, 3.01),
  flat: prior(
    'flat',
    0.009,
    3.02,
    'Assumption for flat-bodied fish: between the elongated and the fusiform prior',
  ),
  shrimp: prior('shrimp', 0.009, 3, 'Assumption: a 2.5 cm shrimp weighs about 0.14 g'),
  snail: prior(
    'snail',
    0.06,
    3,
    'Assumption: soft body alone, about a third of the whole snail; height of the shell',
  ),
};

/** What a pair that the species' own row gives may be off by: a factor of 1.15 in two of three. */
const OWN_SPREAD = 0.06;

type Described = Pick<
  SpeciesEntry,
  'scientific' | 'family' | 'shape' | 'lwA' | 'lwB' | 'sourceSize'
>;

/**
 * The pair for a species: its own, else that of its nearest relatives, else of its body shape.
 * Source of the order: Froese, Thorson & Reyes 2014.
 * @param pairs of the catalogue; of one taxon, the one for the body shape comes before a general one
 */
export function lengthMassFor(species: Described, pairs: readonly LengthMass[]): LengthMass {
  const { scientific, family, shape, lwA, lwB, sourceSize } = species;
  if (lwA !== null && lwB !== null) {
    return { ...ownPair(lwA, lwB, sourceSize), taxon: scientific };
  }
  const genus = scientific.split(' ')[0] ?? '';
  for (const taxon of [scientific, genus, family]) {
    const related = pairs.filter((pair) => pair.taxon === taxon);
    const fitting =
      related.find((pair) => pair.shape === shape) ?? related.find((pair) => pair.shape === null);
    if (fitting) return fitting;
  }
  return SHAPE_PRIORS[shape];
}

/** The pairs that species were given: for a species of the keeper's own among them. */
export function pairsOf(species: readonly { lengthMass: LengthMass }[]): LengthMass[] {
  const key = ({ taxon, shape }: LengthMass) => `${taxon} ${shape ?? ''}`;
  return [...new Map(species.map(({ lengthMass }) => [key(lengthMass), lengthMass])).values()];
}

/** A pair as if measured on the species itself. */
export const ownPair = (a: number, b: number, source = 'a published pair'): LengthMass => ({
  taxon: 'own',
  level: 'own',
  shape: null,
  a,
  b,
  spreadLog10: OWN_SPREAD,
  length: 'total',
  standardShare: null,
  source,
});
