import { isLitter, softensOn } from '../food';
import type { Feeding } from './feeding';
import { energiesOf } from './report';
import { settled, stays } from './settled';
import { simulate } from './simulate';

/** Who got what of a feeding, as numbers alone. */
export interface Eaten {
  /** By group, then food in the order of the feeding, the film last: digestible kJ. */
  kj: number[][];
  /** By drop, then group: share of the drop's grams that it ate. */
  reaches: number[][];
  /** By drop: grams lifted out, and those that stand when it ends, to be lifted later. */
  liftedG: number[];
  stayingG: number[];
  /** By drop: minutes until it was gone; null where more was left. */
  clearedMin: (number | null)[];
  /** By group: dry matter in its stomachs at the end, as a share of what they hold. */
  fill: number[];
  /** What stood there from the days before: by group, digestible kJ of it; and what became of it. */
  stoodKj: number[];
  stood: { foodId: string; eatenG: number[]; lostG: number; liftedG: number }[];
}

interface Coarse {
  /** Multiple of the usual step. */
  stepScale?: number;
  /** By group: what its stomachs hold at first; left out, a whole day begins as it ends. */
  fill?: readonly number[];
}

/** Simulate a feeding for its shares alone: nothing is kept to be drawn or explained. */
export function eatenOf(feeding: Feeding, { stepScale = 1, fill }: Coarse = {}): Eaten {
  const model = settled(feeding, fill, stepScale);
  const outcome = simulate(model, { stepScale });
  const items = model.items.length;
  const energies = energiesOf(feeding, model);
  const foodAt = new Map(feeding.foods.map((food, at) => [food.id, at]));
  const film = feeding.foods.length;
  const groups = feeding.groups.length;
  const kj = feeding.groups.map(() => Array<number>(film + 1).fill(0));
  const reaches = feeding.drops.map(() => Array<number>(groups).fill(0));
  const liftedG = Array<number>(feeding.drops.length).fill(0);
  const stayingG = feeding.drops.map(({ foodId, massG }) =>
    isLitter(feeding.foods[foodAt.get(foodId)!]!) ? massG * (1 - softensOn(0)) : 0,
  );
  const stoodKj = feeding.groups.map(() => 0);
  const stood: Eaten['stood'] = [];
  model.items.forEach((item, i) => {
    const isFilm = i === items - 1;
    const food = isFilm ? film : foodAt.get(item.food.id)!;
    const total = (cells: Float64Array) => {
      let sum = 0;
      for (let at = i; at < cells.length; at += items) sum += cells[at]!;
      return sum;
    };
    const eatenG = total(outcome.eatenG);
    for (let f = 0; f < groups; f += 1) {
      const grams = outcome.eatenG[f * items + i]!;
      const energy = grams * energies[f]![i]!;
      kj[f]![food]! += energy;
      if (item.drop >= 0) reaches[item.drop]![f]! += grams / feeding.drops[item.drop]!.massG;
      else if (!isFilm) stoodKj[f]! += energy;
    }
    if (isFilm) return;
    const staying = stays(item, model.endS) ? total(outcome.leftG) : 0;
    const lifted = total(outcome.liftedG);
    if (item.drop >= 0) {
      liftedG[item.drop]! += lifted;
      stayingG[item.drop]! += staying;
    } else {
      const lostG = Math.max(0, outcome.servedG[i]! - eatenG - lifted - staying);
      const byGroup = feeding.groups.map((_, f) => outcome.eatenG[f * items + i]!);
      stood.push({ foodId: item.food.id, eatenG: byGroup, lostG, liftedG: lifted });
    }
  });
  return {
    kj,
    reaches,
    liftedG,
    stayingG,
    clearedMin: feeding.drops.map((_, at) => {
      const seconds = outcome.clearedS[at] ?? null;
      return seconds === null ? null : seconds / 60;
    }),
    fill: model.feeders.map((feeder, f) =>
      feeder.stomachG > 0 ? outcome.stomachG[f]! / feeder.stomachG : 0,
    ),
    stoodKj,
    stood,
  };
}
