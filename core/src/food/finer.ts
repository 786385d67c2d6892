import { formOf, massOfPieceG, type Pieces } from '../mouth/piece';
import type { ServingUnit } from './servingUnit';

/**
 * How less than the smallest step is served: the food is crumbled, or a step of it is stirred into water
 * and a measured part of that is given.
 */
export interface Finer {
  /** Measured dry by the knife tip, or by the millilitre from a glass that it was stirred into. */
  by: 'tip' | 'mL';
  /** What is stirred into the glass: one step of the food, or the half knife tip; null for a tip. */
  stirs: 'step' | 'halfTip' | null;
  /** What is done to it before. */
  made: 'crushed' | 'crumbled' | 'thawed' | null;
  /** The food's own units in one of these. */
  unitsEach: number;
  /** Smallest part of one that can be measured. */
  step: number;
}

/** Water that a step is stirred into: a small glass, of which a pipette takes parts. Practice. */
export const GLASS_ML = 50;
/** A pipette or a medicine spoon measures no less, mL. Practice. */
const MIN_ML = 0.5;
/** Pieces no longer than this stay afloat long enough to be shared by the millilitre. Assumption. */
const STIRS_MM = 2;
/** Grains no larger than this swirl for as long as it takes to share them; larger ones sink at once. Assumption. */
const SWIRLS_MM = 0.4;
/** Thawed, larger ones are poured while they swirl. Assumption. */
const POURS_MM = 15;
/** So many pieces in a measure are a share, fewer are luck. Assumption. */
const SHARED_BY = 5;
/** A knife tip of crumbs, g: 0.1 mL at 0.4 g/mL, as of powders. Practice. */
const CRUMBS_G = 0.04;
const CRUMBS_STEP = 0.5;
/** A block that is left in the tank for days is not crumbled. */
const LOOSE_G = 5;

type Divisible = Pieces & { unit: Pick<ServingUnit, 'massG' | 'step'> };

/** The ways to serve less of a food than one step of its unit, the coarsest first. */
export function finersOf(food: Divisible): Finer[] {
  const { kind, unit } = food;
  const stepG = unit.massG * unit.step;
  if (kind === 'live' || kind === 'frozen') {
    const made = kind === 'frozen' ? 'thawed' : null;
    return stirred(food, stepG, unit.step, { stirs: 'step', made });
  }
  if (kind !== 'dry') return [];
  const form = formOf(food);
  // Leaves, shells and what is counted by the piece are given whole, or on fewer days.
  const counted = unit.step >= 1 && unit.massG < CRUMBS_G;
  if (form === 'leaf' || form === 'shell' || counted || unit.massG > LOOSE_G) return [];
  const fine = (food.particleMaxMm ?? Infinity) <= (form === 'grain' ? SWIRLS_MM : STIRS_MM);
  const crumb = fine
    ? food
    : { ...food, pieceForm: 'powder' as const, particleMinMm: 0.3, particleMaxMm: 1 };
  if (stepG < CRUMBS_G) {
    return stirred(crumb, stepG, unit.step, { stirs: 'step', made: fine ? null : 'crushed' });
  }
  const made = fine ? null : 'crumbled';
  const tip: Finer = {
    by: 'tip',
    stirs: null,
    made,
    unitsEach: CRUMBS_G / unit.massG,
    step: CRUMBS_STEP,
  };
  const units = CRUMBS_STEP * tip.unitsEach;
  return [tip, ...stirred(crumb, CRUMBS_G * CRUMBS_STEP, units, { stirs: 'halfTip', made })];
}

/** A part of what was stirred into water. @param grams in the glass, and the units of that */
function stirred(
  food: Divisible,
  grams: number,
  units: number,
  of: Pick<Finer, 'stirs' | 'made'>,
): Finer[] {
  const { kind, particleMinMm: short, particleMaxMm: long } = food;
  if (long === null || long > (kind === 'frozen' ? POURS_MM : STIRS_MM)) return [];
  const pieceG = massOfPieceG(food, Math.sqrt((short ?? long) * long));
  const atLeastMl = (GLASS_ML * SHARED_BY * pieceG) / grams;
  const step = MIN_ML * Math.max(1, Math.ceil(atLeastMl / MIN_ML));
  if (step > GLASS_ML / 4) return [];
  return [{ by: 'mL', ...of, unitsEach: units / GLASS_ML, step }];
}

/** Under this share of a step the finer way is taken; above it one step is given. Assumption. */
const BELOW_STEP = 0.5;
/** Parts of a unit are kept to six places. */
const DUST = 1e-4;

interface Divided {
  massG: number;
  step: number;
  finer?: readonly Finer[];
}

/** The way in which so little is served, and how much of it; null where a whole step is given. */
export function finerFor(massG: number, unit: Divided): { finer: Finer; units: number } | null {
  const ways = unit.finer ?? [];
  if (massG <= 0 || ways.length === 0 || massG >= BELOW_STEP * unit.massG * unit.step) return null;
  const stepG = (way: Finer) => way.step * way.unitsEach * unit.massG;
  const finer = ways.find((way) => massG >= stepG(way)) ?? ways.at(-1)!;
  const steps = Math.max(1, Math.round(massG / stepG(finer)));
  return { finer, units: steps * finer.step * finer.unitsEach };
}

/** The step by which so many units are changed: that of the way in which they are served. */
export function stepAt(units: number, unit: Omit<Divided, 'massG'>): number {
  const way = finerMeasure(units, unit)?.finer;
  return way ? way.step * way.unitsEach : unit.step;
}

/** The finer way in which so many units were served; null where they are whole steps. */
export function finerMeasure(units: number, { step, finer = [] }: Omit<Divided, 'massG'>) {
  if (units <= 0 || units >= step * (1 - DUST)) return null;
  const way =
    finer.find((one) => units >= one.step * one.unitsEach * (1 - DUST)) ?? finer.at(-1) ?? null;
  return way && { finer: way, units: Math.round(units / way.unitsEach / way.step) * way.step };
}
