import type { Feeding } from './feeding';
import { modelOf } from './model';
import { energiesOf } from './report';
import { settled, simulate } from './simulate';

/** Who got what of a feeding, as numbers alone. */
export interface Eaten {
  /** By group, then food in the order of the feeding, the film last: digestible kJ. */
  kj: number[][];
  /** By drop, then group: share of the drop's grams that it ate. */
  reaches: number[][];
  /** By drop: grams lifted out, and minutes until it was gone; null where more was left. */
  liftedG: number[];
  clearedMin: (number | null)[];
  /** By group: dry matter in its stomachs at the end, as a share of what they hold. */
  fill: number[];
}

interface Coarse {
  /** Multiple of the usual step. */
  stepScale?: number;
  /** By group: what its stomachs hold at first; left out, a whole day begins as it ends. */
  fill?: readonly number[];
}

/** Simulate a feeding for its shares alone: nothing is kept to be drawn or explained. */
export function eatenOf(feeding: Feeding, { stepScale = 1, fill }: Coarse = {}): Eaten {
  const usual = modelOf(feeding);
  const model = fill
    ? {
        ...usual,
        feeders: usual.feeders.map((feeder, f) => ({ ...feeder, fullAtFirst: fill[f]! })),
      }
    : settled(usual);
  const outcome = simulate(model, { stepScale });
  const items = model.items.length;
  const energies = energiesOf(feeding, model);
  const foodAt = new Map(feeding.foods.map((food, at) => [food.id, at]));
  const film = feeding.foods.length;
  const groups = feeding.groups.length;
  const kj = feeding.groups.map(() => Array<number>(film + 1).fill(0));
  const reaches = feeding.drops.map(() => Array<number>(groups).fill(0));
  const liftedG = Array<number>(feeding.drops.length).fill(0);
  model.items.forEach((item, i) => {
    const food = item.drop < 0 ? film : foodAt.get(item.food.id)!;
    for (let f = 0; f < groups; f += 1) {
      const grams = outcome.eatenG[f * items + i]!;
      kj[f]![food]! += grams * energies[f]![i]!;
      if (item.drop >= 0) {
        reaches[item.drop]![f]! += grams / feeding.drops[item.drop]!.massG;
      }
    }
    if (item.drop >= 0) {
      for (let at = i; at < outcome.liftedG.length; at += items) {
        liftedG[item.drop]! += outcome.liftedG[at]!;
      }
    }
  });
  return {
    kj,
    reaches,
    liftedG,
    clearedMin: outcome.clearedS.map((seconds) => (seconds === null ? null : seconds / 60)),
    fill: model.feeders.map((feeder, f) =>
      feeder.stomachG > 0 ? outcome.stomachG[f]! / feeder.stomachG : 0,
    ),
  };
}
