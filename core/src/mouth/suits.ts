import type { FoodFamily, FoodKind, Guild, PieceForm, Shape } from '@open-larder/catalogue';
import { assumed, computed, type Known } from '../why';
import { ofDryMatter, type Composition } from '../food';
import { formOf, widthAt, type Pieces } from './piece';

/** Who might eat: what of a species and its size decides what fits and what it takes. */
export interface Eater {
  guild: Guild;
  /** Width of the open mouth as a share of total length. */
  gapeShare: number;
  plantShareMin: number;
  plantShareMax: number;
  /** What it should have only little of, in words of the catalogue. */
  capped: readonly string[];
  /** How readily it takes dry food, 0..1. */
  takesDry: number;
  shape?: Shape;
  family?: string;
}

/** What of a food decides the same, after its preparation. */
export interface Offer extends Pieces {
  kind: FoodKind;
  family: FoodFamily;
  composition: Composition;
  plantShare: number;
}

export type Fit = 'whole' | 'the smaller' | 'in bites' | 'too large' | 'unknown';

/** Length that goes down end on, as a share of the eater's own. Practice: worms up to a body length. */
const END_ON: Partial<Record<PieceForm, number>> = { worm: 1, crustacean: 0.7, stick: 0.4 };
/** Held prey is torn, and hard food softens and is pecked, up to so many widths of the mouth. Assumptions. */
const TORN_WIDTHS: Partial<Record<PieceForm, number>> = {
  worm: 2.5,
  crustacean: 2.5,
  grain: 2.5,
  stick: 2.5,
};
/** Soft at any size: it gives way, or crumbles from the edge. */
const NIBBLED: ReadonlySet<PieceForm> = new Set(['flake', 'disc', 'block']);
/** Leaves and slices need a mouth that rasps or tears. Assumption by guild. */
const RASPS: ReadonlySet<Guild> = new Set([
  'plant grazer',
  'film scraper',
  'detritus feeder',
  'omnivore',
]);
/** Families with a beak, shearing teeth or a spine for shells: they bite through what is hard. */
const BITES: ReadonlySet<string> = new Set([
  'Tetraodontidae',
  'Serrasalmidae',
  'Botiidae',
  'Distichodontidae',
  'Nassariidae',
]);
/** Claws and radulas take any piece apart. */
const TAKES_APART: ReadonlySet<Shape | undefined> = new Set(['shrimp', 'snail']);

/**
 * Whether a food fits a mouth: long prey goes in end on by its width, flakes and soft pieces are
 * nibbled at any size. What a group was seen to eat beats every rule.
 * @param lengthCm total length of the fish
 * @param seen     the keeper saw it eaten
 * @returns how it is eaten, and the width of the open mouth in mm with its derivation
 */
export function fits(
  eater: Eater,
  lengthCm: number,
  offer: Offer,
  seen = false,
): { fit: Fit; gapeMm: Known } {
  const gapeMm = computed(lengthCm * 10 * eater.gapeShare, {
    label: 'Width of the open mouth',
    unit: 'mm',
    how: 'total length × width of the mouth as a share of it',
    from: [
      assumed('Total length', lengthCm, 'cm', 'the group, measured or by stage'),
      assumed('Width of the mouth', eater.gapeShare * 100, '% of length', 'the species’ row'),
    ],
  });
  const { particleMinMm: short, particleMaxMm: long } = offer;
  if (short === null || long === null) return { fit: 'unknown', gapeMm };
  const goesIn = (pieceMm: number) => mouthful(offer, pieceMm, gapeMm.value, lengthCm) <= 1;
  const fit: Fit = goesIn(long)
    ? 'whole'
    : goesIn(short)
      ? 'the smaller'
      : seen || bitten(eater, offer, short, gapeMm.value)
        ? 'in bites'
        : 'too large';
  return { fit, gapeMm };
}

/** How much of the mouth a piece of that length takes: 1 just goes in. */
export function mouthful(
  pieces: Pieces,
  pieceMm: number,
  gapeMm: number,
  lengthCm: number,
): number {
  const endOn = END_ON[formOf(pieces)];
  return endOn === undefined
    ? pieceMm / gapeMm
    : Math.max(widthAt(pieces, pieceMm) / gapeMm, pieceMm / (endOn * lengthCm * 10));
}

export const takesApart = ({ shape }: Pick<Eater, 'shape'>): boolean => TAKES_APART.has(shape);

/** Whether what does not go in whole is torn, rasped, pecked or bitten through. */
function bitten(eater: Eater, offer: Offer, shortMm: number, gapeMm: number): boolean {
  const form = formOf(offer);
  if (BITES.has(eater.family ?? '')) return true;
  if (form === 'shell') return false;
  if (takesApart(eater)) return true;
  if (form === 'leaf' || offer.kind === 'fresh') return RASPS.has(eater.guild);
  const widths = TORN_WIDTHS[form];
  return NIBBLED.has(form) || (widths !== undefined && widthAt(offer, shortMm) <= widths * gapeMm);
}

/** Dry matter with more fat than this is rich. Assumption; lean worms lie near 10 %. */
const FATTY = 0.15;

/** Capped words of the catalogue, and the foods that they mean. */
const CAPPED: Record<string, (offer: Offer) => boolean> = {
  'animal protein': (offer) => offer.plantShare < 0.3,
  'rich worms': (offer) => offer.family === 'wriggle' && ofDryMatter(offer.composition).fat > 0.1,
  'fatty foods': (offer) => ofDryMatter(offer.composition).fat > FATTY,
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
  const dead = offer.kind === 'live' || offer.kind === 'frozen' ? 1 : eater.takesDry;
  const likely = computed(Math.max(0, 1 - off) * dead, {
    label: 'Readiness to take it',
    unit: 'share',
    how: '(1 − how far its plant share lies outside the band) × readiness for food that does not move',
    source: 'Its species’ row, else an assumption by guild, until it is seen',
    from: [
      assumed('Least plant share', eater.plantShareMin * 100, '%', 'the species’ row'),
      assumed('Greatest plant share', eater.plantShareMax * 100, '%', 'the species’ row'),
      assumed('Plant share of the food', offer.plantShare * 100, '%', 'the food'),
      assumed('Readiness for food that does not move', dead, 'share', 'the species’ row'),
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
