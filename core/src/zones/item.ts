import type { FoodFamily, FoodKind } from '@open-larder/catalogue';
import { endOn, prepared } from '../food';
import type { Drop, FeedFood } from './feeding';
import { LAYER_OF } from './layers';

/** Particles of one size out of one drop: the simulation's food. */
export interface Item {
  drop: number;
  food: FeedFood;
  sizeMm: number;
  /** How many there are at first, and grams as fed in one. */
  count: number;
  massG: number;
  /** Seconds after the simulation begins at which it goes in and is lifted; Infinity where it is left. */
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

/** Seconds in which a hard food gives way to a mouth. Assumptions by kind. */
const SOFTENS_S: Record<FoodKind, number> = {
  dry: 600,
  gel: 1,
  frozen: 1,
  fresh: 3600,
  mix: 1,
  live: 1,
};
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
/** g/cm³ as it lies in the water. Assumptions: dry food is porous. */
const DENSITY: Record<FoodKind, number> = {
  dry: 0.5,
  gel: 1.03,
  frozen: 1.02,
  fresh: 0.95,
  mix: 1.03,
  live: 1.02,
};

/** Length over width of what goes down end on: worms and larvae, and small crustaceans. Assumptions. */
const SLENDER = { worm: 8, crustacean: 3 };
/** Thickness of leaves, wafers and flakes of leaf over their width. Assumption. */
const THIN = 0.15;

/** Grams in one particle of that size (length of worms, width of all else). */
export function particleG(kind: FoodKind, family: FoodFamily, sizeMm: number): number {
  const cm = sizeMm / 10;
  const slender = family === 'wriggle' ? SLENDER.worm : SLENDER.crustacean;
  const volume =
    endOn({ kind, family }) > 1
      ? (Math.PI / 4) * (cm / slender) ** 2 * cm
      : family === 'leaf'
        ? (Math.PI / 4) * cm ** 3 * THIN
        : (Math.PI / 6) * cm ** 3;
  return DENSITY[kind] * volume;
}

/**
 * The particles of one drop by size.
 * Nothing is rounded away: a portion smaller than one particle is one small particle.
 */
export function itemsOf(drop: Drop, at: number, food: FeedFood, fromMin: number): Item[] {
  if (drop.massG <= 0) return [];
  const soak = { kind: 'soak' as const, leadMin: 60, workMin: 1, toMm: null };
  const steps = drop.manner.soaked ? [...food.steps, soak] : food.steps;
  const ready = prepared({ ...food.inWater, form: food.form }, steps);
  const small = ready.particleMinMm ?? food.inWater.particleMinMm;
  const large = Math.max(small, ready.particleMaxMm ?? food.inWater.particleMaxMm);
  const classes = large / small < ONE_SIZE ? ([[0.5, 1]] as const) : CLASSES;
  const inS = (drop.atMin + drop.manner.afterMin - fromMin) * 60;
  const soft = drop.manner.soaked || steps.some((step) => step.kind === 'blanch');
  const [leaches, leachS] = LEACHES[food.kind];
  // Whatever sticks to glass or wood was put there; all else falls from the surface unless carried.
  const carried = drop.manner.carried || drop.zone === 'film';
  return classes.map(([at01, share]) => {
    const sizeMm = small * (large / small) ** at01;
    const massG = drop.massG * share;
    const count = Math.max(1, massG / particleG(food.kind, food.family, sizeMm));
    return {
      drop: at,
      food,
      sizeMm,
      count,
      massG: massG / count,
      inS,
      liftS: food.liftAfterMin === null ? Infinity : inS + food.liftAfterMin * 60,
      layer: carried ? LAYER_OF[drop.zone] : LAYER_OF.surface,
      floatS: (ready.floatMinutes ?? 0) * 60,
      sinkCmS: ready.sinkCmPerS ?? food.inWater.sinkCmPerS,
      softensS: soft ? 1 : SOFTENS_S[food.kind],
      leaches,
      leachS,
      swims: food.kind === 'live',
      only: drop.manner.apart ? drop.groupId : null,
    };
  });
}
