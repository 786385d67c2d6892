import { isLitter } from '../food';
import { FILM_UNIT_G } from './film';
import * as layers from './layers';
import { leachedMassG } from './item';
import type { Model } from './model';

// Kept here: in loops like these, looking an import up each time took a sixth of the whole.
const { LAYER_COUNT } = layers;

/**
 * The tank at one time in flat arrays. Cells run by column, then layer; in a cell, by item. What a
 * run has counted so far is shown beside it.
 */
export interface State {
  readonly cells: number;
  readonly items: number;
  /** Expected particles, by cell, then item. */
  readonly n: Float64Array;
  /** By item: grams of one particle now, and those that are in the water. */
  readonly massG: Float64Array;
  readonly active: number[];
  /** By feeder: dry grams in all stomachs; and by column, the share of the group there. */
  readonly stomach: Float64Array;
  readonly where: Float64Array;
  /** By feeder, then item: grams as fed eaten. */
  readonly eaten: Float64Array;
  /** By item: put in, and dissolved. By cell, then item: lifted out. */
  readonly served: Float64Array;
  readonly leached: Float64Array;
  readonly lifted: Float64Array;
  /** By item: particles between the grains of the ground, out of reach. */
  readonly buried: Float64Array;
  /** By drop: share that was there at the last look, and seconds until it was gone. */
  readonly remaining: Float64Array;
  readonly cleared: (number | null)[];
}

/** Nothing is in yet, every group is all over the tank. */
export function startOf({ waters, items, feeders }: Model): State {
  const cells = waters.columns * LAYER_COUNT;
  const floor = waters.areaCm2.reduce((sum, area) => sum + area, 0);
  const drops = 1 + items.reduce((last, item) => Math.max(last, item.drop), -1);
  return {
    cells,
    items: items.length,
    n: new Float64Array(cells * items.length),
    massG: Float64Array.from(items, (item) => leachedMassG(item, 0)),
    active: [],
    stomach: Float64Array.from(feeders, (feeder) => feeder.stomachG * feeder.fullAtFirst),
    where: Float64Array.from(
      feeders.flatMap(() => Array.from(waters.areaCm2, (area) => area / floor)),
    ),
    eaten: new Float64Array(feeders.length * items.length),
    served: new Float64Array(items.length),
    leached: new Float64Array(items.length),
    lifted: new Float64Array(cells * items.length),
    buried: new Float64Array(items.length),
    remaining: new Float64Array(drops).fill(1),
    cleared: Array.from({ length: drops }, () => null),
  };
}

/** Put in what is due and lift what is due. @returns whether food went in */
export function settle(state: State, model: Model, nowS: number): boolean {
  const { areaCm2 } = model.waters;
  const film = state.items - 1;
  let wentIn = false;
  model.items.forEach((item, i) => {
    const isIn = state.active.includes(i);
    if (!isIn && state.served[i] === 0 && item.inS <= nowS + SAME_S) {
      const columns = model.columnsOf[i] as number[];
      const area = columns.reduce((sum, column) => sum + areaCm2[column]!, 0);
      for (const column of columns) {
        // The film is everywhere, by area; food is split evenly over its places.
        const share = i === film ? areaCm2[column]! / area : 1 / columns.length;
        state.n[(column * LAYER_COUNT + item.layer) * state.items + i] = item.count * share;
      }
      state.served[i] = item.count * state.massG[i]!;
      state.active.push(i);
      wentIn ||= item.drop >= 0;
    } else if (isIn && item.liftS <= nowS + SAME_S) {
      state.active.splice(state.active.indexOf(i), 1);
      for (let at = i; at < state.n.length; at += state.items) {
        state.lifted[at] = state.n[at]! * state.massG[i]!;
        state.n[at] = 0;
      }
    }
  });
  return wentIn;
}
const SAME_S = 1e-6;

/** Expected particles of an item over all cells. */
export function countOf(state: State, i: number): number {
  let sum = 0;
  for (let at = i; at < state.n.length; at += state.items) sum += state.n[at]!;
  return sum;
}

/** What dissolves in a step, and what grows on glass and wood in this light (0..1). */
export function leachAndGrow(state: State, model: Model, nowS: number, dt: number, light: number) {
  const film = state.items - 1;
  for (const i of state.active) {
    if (i === film) continue;
    const item = model.items[i]!;
    if (item.leaches === 0) continue;
    const after = leachedMassG(item, nowS + dt);
    state.leached[i]! += (countOf(state, i) + state.buried[i]!) * (state.massG[i]! - after);
    state.massG[i] = after;
  }
  const staying = countOf(state, film) * FILM_UNIT_G;
  const { fullG, growsGPerS } = model.film;
  if (staying === 0 || staying >= fullG) return;
  const grows = growsGPerS * light * (1 - staying / fullG) * dt;
  for (let at = film; at < state.n.length; at += state.items) {
    state.n[at]! *= 1 + grows / staying;
  }
  state.served[film]! += grows;
}

/** A drop counts as gone when no more than this of it is left. */
const GONE = 0.05;

/** Note which drops are gone after a step, and when within it: what is eaten shrinks by its share. */
export function noteCleared(state: State, model: Model, nowS: number, dt: number) {
  const lies = new Map<number, { served: number; there: number; inS: number }>();
  for (const i of state.active) {
    const item = model.items[i]!;
    // Of leaves only what softens today is here: the rest stands for weeks.
    if (item.drop < 0 || isLitter(item.food) || state.cleared[item.drop] !== null) continue;
    const drop = lies.get(item.drop) ?? { served: 0, there: 0, inS: item.inS };
    drop.served += state.served[i]!;
    drop.there += countOf(state, i) * state.massG[i]!;
    lies.set(item.drop, drop);
  }
  for (const [drop, { served, there, inS }] of lies) {
    const before = state.remaining[drop]!;
    const after = there / served;
    state.remaining[drop] = after;
    if (after > GONE) continue;
    const part = after > 0 ? Math.log(before / GONE) / Math.log(before / after) : 1;
    state.cleared[drop] = Math.max(0, nowS - inS - dt * (1 - part));
  }
}

/** Grams as fed that lie in each cell, by cell, then item. */
export const gramsLying = (state: State): Float64Array =>
  state.n.map((there, at) => there * state.massG[at % state.items]!);
