import { isLitter } from '../food';
import type { Drop, FeedFood, Feeding } from './feeding';
import { itemsOf, leachedMassG, type Item } from './item';
import { LAYER_COUNT, LAYER_OF } from './layers';
import { modelOf, type Model } from './model';
import { simulate, type Outcome } from './simulate';

const DAY_MIN = 1440;
/** The day before is only needed for what it leaves in stomachs and water: its step is this long at least. */
const BEFORE_STEP_SCALE = 2.5;
/** Less than this share of a piece is no longer there. */
const GONE = 0.01;

/**
 * A feeding as it begins. A whole day begins with what the day before left in the stomachs, and with
 * what still stands in the water: slices that are not lifted yet, and what softens today of leaves.
 * The day before is the same day, unless something of another stands. A single meal finds stomachs
 * and water empty.
 * @param fill by group: what its stomachs hold at first, where that is known
 * @param stepScale multiple of the usual step that the day itself is simulated with
 */
export function settled(feeding: Feeding, fill?: readonly number[], stepScale = 1): Model {
  if (feeding.toMin - feeding.fromMin < DAY_MIN) return begun(feeding, [], fill);
  const leaves = softening(feeding);
  const before = dayBefore(feeding);
  if (before === null && fill) return begun(feeding, leaves, fill);
  const night = before
    ? settled(before, fill ?? feeding.groups.map(() => 0), stepScale)
    : begun(feeding, leaves);
  const outcome = simulate(night, { stepScale: Math.max(BEFORE_STEP_SCALE, stepScale) });
  const full = night.feeders.map(({ stomachG }, f) =>
    stomachG > 0 ? outcome.stomachG[f]! / stomachG : 0,
  );
  const stood = before ? stayingAfter(night, outcome) : [];
  return begun(feeding, [...leaves, ...stood], fill ?? full);
}

function begun(feeding: Feeding, stood: readonly Item[], fill?: readonly number[]): Model {
  const model = modelOf(feeding, stood);
  if (!fill) return model;
  const feeders = model.feeders.map((feeder, f) => ({ ...feeder, fullAtFirst: fill[f]! }));
  return { ...model, feeders };
}

/** The day before as a feeding of its own; null where nothing of it stands when this one begins. */
function dayBefore(feeding: Feeding): Feeding | null {
  const [drops = [], ...before] = feeding.before ?? [];
  const foods = new Map(feeding.foods.map((food) => [food.id, food]));
  const toMin = feeding.fromMin + DAY_MIN;
  const stays = drops.some((drop) => staysPast(drop, foods.get(drop.foodId), toMin));
  if (!stays) return null;
  const fromMin = Math.min(feeding.fromMin, ...drops.map(({ atMin }) => atMin));
  return { ...feeding, drops, before, fromMin, toMin };
}

const staysPast = (drop: Drop, food: FeedFood | undefined, untilMin: number): boolean =>
  food !== undefined &&
  food.liftAfterMin !== null &&
  !isLitter(food) &&
  drop.atMin + drop.manner.afterMin + food.liftAfterMin > untilMin;

/** What is lifted only after the end of a day, as it lies there then. */
function stayingAfter({ items, endS }: Model, { leftG }: Outcome): Item[] {
  return items.slice(0, -1).flatMap((item, i) => {
    if (!stays(item, endS)) return [];
    const byLayer = Array<number>(LAYER_COUNT).fill(0);
    for (let at = i, cell = 0; at < leftG.length; at += items.length, cell += 1) {
      byLayer[cell % LAYER_COUNT]! += leftG[at]!;
    }
    const grams = byLayer.reduce((sum, part) => sum + part, 0);
    const count = grams / leachedMassG(item, endS);
    if (count < GONE * item.count) return [];
    const layer = byLayer.indexOf(Math.max(...byLayer));
    return { ...item, drop: -1, count, layer, inS: item.inS - endS, liftS: item.liftS - endS };
  });
}

/** Whether what is left of an item at the end is not rot: it stands until it is lifted. */
export const stays = ({ liftS, food }: Item, endS: number): boolean =>
  liftS > endS && liftS < Infinity && !isLitter(food);

/** What softens today of the leaves and cones that were put in on the days before. */
function softening({ before = [], foods, fromMin }: Feeding): Item[] {
  const litter = new Map(foods.filter(isLitter).map((food) => [food.id, food]));
  return before.flatMap((drops, at) =>
    drops.flatMap((drop) => {
      const food = litter.get(drop.foodId);
      return food
        ? itemsOf(drop, -1, food, fromMin, at + 1)
            .filter(({ liftS }) => liftS > 0)
            .map((item) => ({ ...item, layer: LAYER_OF.bottom }))
        : [];
    }),
  );
}
