import type { FoodFamily, FoodKind, Guild } from '@open-larder/catalogue';
import { assumed, computed, type Known } from '../why';
import { ofDryMatter, type Composition } from './energy';

/** Who might eat: what of a species and its size decides what fits and what it takes. */
export interface Eater {
  guild: Guild;
  /** Width of the open mouth as a share of total length. */
  gapeShare: number;
  plantShareMin: number;
  plantShareMax: number;
  /** What it should have only little of, in words of the catalogue. */
  capped: readonly string[];
}

/** What of a food decides the same, after its preparation. */
export interface Offer {
  kind: FoodKind;
  family: FoodFamily;
  composition: Composition;
  plantShare: number;
  particleMinMm: number | null;
  particleMaxMm: number | null;
  /** Minutes after which what is left is lifted: what may lie long softens. Null leaves it. */
  liftAfterMin: number | null;
}

export type Fit = 'whole' | 'the smaller' | 'in bites' | 'too large' | 'unknown';

/**
 * Prey longer than the mouth is wide goes down end on: worms and larvae up to three widths.
 * Assumption.
 */
const END_ON = 3;

/** Times the width of a mouth that a particle of this food may be long. */
export const endOn = ({ kind, family }: Pick<Offer, 'kind' | 'family'>): number =>
  family === 'wriggle' || (kind === 'frozen' && family === 'cube') ? END_ON : 1;

/** What gives way under any mouth but a gulping one: gels, mixes, and dry food that may lie. Assumption. */
const SOFT: ReadonlySet<FoodKind> = new Set(['gel', 'mix']);
const SOFTENS_MIN = 30;
/** Leaves and slices need a mouth that rasps or tears. Assumption by guild. */
const RASPS: ReadonlySet<Guild> = new Set([
  'plant grazer',
  'film scraper',
  'detritus feeder',
  'omnivore',
]);

/**
 * Whether a food fits a mouth.
 * @param lengthCm total length of the fish
 * @returns how it is eaten, and the width of the open mouth in mm with its derivation
 */
export function fits(eater: Eater, lengthCm: number, offer: Offer): { fit: Fit; gapeMm: Known } {
  const gapeMm = computed(lengthCm * 10 * eater.gapeShare, {
    label: 'Width of the open mouth',
    unit: 'mm',
    how: 'total length × width of the mouth as a share of it',
    from: [
      assumed('Total length', lengthCm, 'cm', 'the group, measured or by stage'),
      assumed('Width of the mouth', eater.gapeShare * 100, '% of length', 'the species’ row'),
    ],
  });
  const mouth = gapeMm.value * endOn(offer);
  const { particleMinMm: smallest, particleMaxMm: largest } = offer;
  const lies = offer.liftAfterMin === null || offer.liftAfterMin >= SOFTENS_MIN;
  const soft = SOFT.has(offer.kind) || (offer.kind === 'dry' && lies && offer.family !== 'leaf');
  const plant = offer.kind === 'fresh' || offer.family === 'leaf';
  const torn = (soft && eater.guild !== 'predator') || (plant && RASPS.has(eater.guild));
  const fit: Fit =
    smallest === null || largest === null
      ? 'unknown'
      : largest <= mouth
        ? 'whole'
        : smallest <= mouth
          ? 'the smaller'
          : torn
            ? 'in bites'
            : 'too large';
  return { fit, gapeMm };
}

/** Dry matter with more fat than this is rich. Assumption; lean worms lie near 10 %. */
const FATTY = 0.15;

/** Capped words of the catalogue, and the foods that they mean. */
const CAPPED: Record<string, (offer: Offer) => boolean> = {
  'animal protein': (offer) => offer.plantShare < 0.3,
  'rich worms': (offer) => offer.family === 'wriggle' && ofDryMatter(offer.composition).fat > 0.1,
  'fatty foods': (offer) => ofDryMatter(offer.composition).fat > FATTY,
};

/** How readily a guild takes what does not move and did not live. Assumptions. */
const TAKES_DEAD: Record<Guild, number> = {
  'plant grazer': 1,
  'film scraper': 0.9,
  'detritus feeder': 1,
  'filter feeder': 0.7,
  omnivore: 1,
  'invertebrate picker': 0.85,
  predator: 0.5,
};

/**
 * What only binds a mix is no meal: nearly pure protein, or hardly any protein and fat at all in what
 * is not a leaf. Assumption.
 */
export function onlyBinds({ family, composition }: Pick<Offer, 'family' | 'composition'>): boolean {
  const dry = ofDryMatter(composition);
  return dry.protein > 0.95 || (family !== 'leaf' && dry.protein + dry.fat < 0.1);
}

export type Taking = 'readily' | 'usually' | 'reluctantly' | 'hardly';

/**
 * How readily a settled fish takes a food, from its guild and its band of plant food. A newcomer
 * may refuse what its kind likes. An assumption until it is seen.
 * @returns a likelihood 0..1 with its word, and the capped word that it falls under
 */
export function takes(
  eater: Eater,
  offer: Offer,
): { likely: Known; word: Taking; capped: string | null } {
  const off = Math.max(
    0,
    eater.plantShareMin - offer.plantShare,
    offer.plantShare - eater.plantShareMax,
  );
  const dead = offer.kind === 'live' || offer.kind === 'frozen' ? 1 : TAKES_DEAD[eater.guild];
  const likely = computed(Math.max(0, 1 - off) * dead, {
    label: 'Readiness to take it',
    unit: 'share',
    how: '(1 − how far its plant share lies outside the band) × readiness for food that does not move',
    source: 'Assumption by guild, until it is seen',
    from: [
      assumed('Least plant share', eater.plantShareMin * 100, '%', 'the species’ row'),
      assumed('Greatest plant share', eater.plantShareMax * 100, '%', 'the species’ row'),
      assumed('Plant share of the food', offer.plantShare * 100, '%', 'the food'),
      assumed('Readiness for food that does not move', dead, 'share', 'its guild'),
    ],
  });
  const word: Taking =
    likely.value >= 0.75
      ? 'readily'
      : likely.value >= 0.5
        ? 'usually'
        : likely.value >= 0.25
          ? 'reluctantly'
          : 'hardly';
  const capped = eater.capped.find((says) => CAPPED[says]?.(offer)) ?? null;
  return { likely, word, capped };
}
