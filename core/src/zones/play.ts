import type { FoodFamily } from '@open-larder/catalogue';
import type { Feeding } from './feeding';
import { energiesOf, reportOf, type Report } from './report';
import { settled } from './settled';
import { simulate, type Frame } from './simulate';

/** What a drawing of the frames needs to know about them. */
export interface Scene {
  /** Places at which food is put, in the keeper's words; the last column is elsewhere. */
  columns: number;
  /** Particles, in the order of the frames; the film, which comes last in them, is left out. */
  items: { drop: number; family: FoodFamily; sizeMm: number; servedG: number; inS: number }[];
  /** By group: what its stomachs hold, dry grams. */
  stomachG: number[];
  /** By group, then item, the film last: digestible kJ in a gram as fed. */
  kjPerG: number[][];
  /** Columns by share of the floor. */
  areaShare: number[];
}

/** A feeding simulated to be looked at. */
export interface Played {
  report: Report;
  frames: Frame[];
  scene: Scene;
}

/** Energy that a group has got by a frame, kJ. */
export function gotBy(scene: Scene, frame: Frame, f: number): number {
  const energies = scene.kjPerG[f] as number[];
  return energies.reduce(
    (sum, energy, i) => sum + energy * (frame.eaten[f * energies.length + i] as number),
    0,
  );
}

/** Frames are at most this share of the time apart, and may be seconds apart in any case. */
const APART = 1 / 300;
const APART_S = 5;

/** Simulate a feeding and keep what it takes to draw it. */
export function play(feeding: Feeding): Played {
  const model = settled(feeding);
  const everyS = Math.max(APART_S, model.endS * APART);
  const outcome = simulate(model, { everyS });
  const floor = model.waters.areaCm2.reduce((sum, area) => sum + area, 0);
  return {
    report: reportOf(feeding, model, outcome),
    frames: outcome.frames,
    scene: {
      columns: model.waters.columns,
      items: model.items.slice(0, -1).map(({ drop, food, sizeMm, count, massG, inS }) => ({
        drop,
        family: food.family,
        sizeMm,
        servedG: count * massG,
        inS,
      })),
      kjPerG: energiesOf(feeding, model),
      stomachG: model.feeders.map((feeder) => feeder.stomachG),
      areaShare: Array.from(model.waters.areaCm2, (area) => area / floor),
    },
  };
}
