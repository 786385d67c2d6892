import type { FoodKind } from '@open-larder/catalogue';
import { isLitter, prepared, softensOn } from '../food';
import { formOf, massOfPieceG, type Pieces } from '../mouth';
import type { Drop, FeedFood } from './feeding';
import { LAYER_OF } from './layers';

/** Particles of one size out of one drop: the simulation's food. */
export interface Item {
  /** Its drop among those of the feeding; -1 for the film, and for what stood there before. */
  drop: number;
  /** Where in the tank it is put, in the keeper's words. */
  place: string;
  food: FeedFood;
  /** Its pieces as they go in. */
  pieces: Pieces;
  /** Longest side of a piece. */
  sizeMm: number;
  /** How many there are at first, and grams as fed in one. */
  count: number;
  massG: number;
  /**
   * Seconds after the simulation begins at which it goes in and is lifted; Infinity where it is left.
   * Before it begins for what stands there.
   */
  inS: number;
  liftS: number;
  layer: number;
  floatS: number;
  sinkCmS: number;
  softensS: number;
  /** Share of its mass that dissolves in the end, and the seconds in which it mostly does. */
  leaches: number;
  leachS: number;
  /** Live food swims between the depths. */
  swims: boolean;
  /** Share that falls out of reach where it comes to the ground. */
  buries: number;
  /** Only this group reaches it; null for what is everyone's. */
  only: string | null;
}

/** Shares of the mass in small, middling and large particles. Assumption. */
const CLASSES: readonly [at: number, share: number][] = [
  [0, 0.25],
  [0.5, 0.5],
  [1, 0.25],
];
/** Sizes that differ by less than this factor are one size. */
const ONE_SIZE = 1.3;

const DAY_MIN = 1440;

/** Seconds in which a hard food gives way to a mouth. Assumptions by kind. */
const SOFTENS_S: Record<FoodKind, number> = {
  dry: 600,
  gel: 1,
  frozen: 1,
  fresh: 3600,
  mix: 1,
  live: 1,
};
/** A flake is soft within moments. Practice. */
const FLAKE_SOFTENS_S = 20;
/**
 * Share that leaches and the seconds in which it does. Assumptions by kind; dry crumbs lose the most
 * in the first half hour (Goldblatt et al. 1980, Aquaculture 19:117, on pelleted rations).
 */
const LEACHES: Record<FoodKind, [share: number, seconds: number]> = {
  dry: [0.2, 1800],
  gel: [0.1, 43_200],
  frozen: [0.15, 3600],
  fresh: [0.1, 86_400],
  mix: [0.15, 7200],
  live: [0, 1],
};
/** Leaves have lost most of what dissolves before they soften. Assumption. */
const LITTER_LEACHES: [share: number, seconds: number] = [0.05, 86_400];

/** Places are told apart by their words alone. */
export const placeOf = ({ place }: Pick<Drop, 'place'>): string => place.trim().toLowerCase();

/** A food as it goes in: its pieces, and how far they float and sink. */
interface Form {
  pieces: Pieces;
  small: number;
  large: number;
  floatS: number;
  sinkCmS: number;
  /** A mouth need not wait until it gives way. */
  soft: boolean;
}

/** Foods never change, and the same are read for each day of each plan that is tried. */
const forms = new WeakMap<FeedFood, Map<boolean, Form>>();

function formOfFood(food: FeedFood, soaked: boolean): Form {
  const known = forms.get(food) ?? new Map<boolean, Form>();
  forms.set(food, known);
  const form = known.get(soaked) ?? readForm(food, soaked);
  known.set(soaked, form);
  return form;
}

function readForm(food: FeedFood, soaked: boolean): Form {
  const soak = { kind: 'soak' as const, leadMin: 60, workMin: 1, toMm: null };
  const steps = soaked ? [...food.steps, soak] : food.steps;
  const ready = prepared({ ...food.inWater, form: food.form }, steps);
  const small = ready.particleMinMm ?? food.inWater.particleMinMm;
  const large = Math.max(small, ready.particleMaxMm ?? food.inWater.particleMaxMm);
  return {
    pieces: {
      ...food.inWater,
      ...ready,
      kind: food.kind,
      family: food.family,
      particleMinMm: small,
      particleMaxMm: large,
    },
    small,
    large,
    floatS: (ready.floatMinutes ?? 0) * 60,
    sinkCmS: ready.sinkCmPerS ?? food.inWater.sinkCmPerS,
    soft: isLitter(food) || soaked || steps.some((step) => step.kind === 'blanch'),
  };
}

/**
 * The particles of one drop by size.
 * Nothing is rounded away: a portion smaller than one particle is one small particle.
 * @param day days since it was put in: of leaves and cones, only what softens on that day is food
 */
export function itemsOf(drop: Drop, at: number, food: FeedFood, fromMin: number, day = 0): Item[] {
  if (drop.massG <= 0) return [];
  const litter = isLitter(food);
  const edibleG = drop.massG * (litter ? softensOn(day) : 1);
  const { pieces, small, large, floatS, sinkCmS, soft } = formOfFood(food, drop.manner.soaked);
  const classes = large / small < ONE_SIZE ? ([[0.5, 1]] as const) : CLASSES;
  const inS = (drop.atMin + drop.manner.afterMin - fromMin - day * DAY_MIN) * 60;
  const [leaches, leachS] = litter ? LITTER_LEACHES : LEACHES[food.kind];
  // Whatever sticks to glass or wood was put there; all else falls from the surface unless carried.
  const carried = drop.manner.carried || drop.zone === 'film';
  return classes.map(([at01, share]) => {
    const sizeMm = small * (large / small) ** at01;
    const massG = edibleG * share;
    const count = Math.max(1, massG / massOfPieceG(pieces, sizeMm));
    return {
      drop: at,
      place: placeOf(drop),
      food,
      pieces,
      sizeMm,
      count,
      massG: massG / count,
      inS,
      liftS: food.liftAfterMin === null ? Infinity : inS + food.liftAfterMin * 60,
      layer: carried ? LAYER_OF[drop.zone] : LAYER_OF.surface,
      floatS,
      sinkCmS,
      softensS: soft ? 1 : formOf(pieces) === 'flake' ? FLAKE_SOFTENS_S : SOFTENS_S[food.kind],
      leaches,
      leachS,
      swims: food.kind === 'live',
      buries: 0,
      only: drop.manner.apart ? drop.groupId : null,
    };
  });
}

/** Grams in one of its particles at a time, seconds after the simulation begins: some has dissolved. */
export const leachedMassG = ({ massG, leaches, leachS, inS }: Item, nowS: number): number =>
  massG * (1 + leaches * Math.expm1(-Math.max(0, nowS - inS) / leachS));
