import { Hunt } from './hunt';
import { phaseAt } from './light';
import type { Model } from './model';
import { move } from './move';
import { gramsLying, leachAndGrow, noteCleared, settle, startOf, type State } from './state';

/** The tank at one time. */
export interface Frame {
  /** Seconds since the simulation began. */
  atS: number;
  /** By cell (column, then layer), then item: grams as fed. */
  lies: Float32Array;
  /** By feeder: grams of dry matter in all stomachs. */
  fill: Float32Array;
  /** By feeder, then column: share of the group. */
  where: Float32Array;
  /** By feeder, then item: grams as fed eaten so far. */
  eaten: Float32Array;
}

/** What became of everything, grams as fed. Items run as in the model, the film last. */
export interface Outcome {
  /** By feeder, then item. */
  eatenG: Float64Array;
  /** By item: put in (of the film: there at first, and grown), and dissolved. */
  servedG: Float64Array;
  leachedG: Float64Array;
  /** By cell, then item: lifted out, and lying there at the end. */
  liftedG: Float64Array;
  leftG: Float64Array;
  /** By item: lying between the grains of the ground, out of reach. */
  buriedG: Float64Array;
  /** By feeder: grams of dry matter in all stomachs at the end. */
  stomachG: Float64Array;
  /** By drop: seconds after it went in at which a twentieth was left; null where more was. */
  clearedS: (number | null)[];
  frames: Frame[];
  steps: number;
}

/** Half a second while food falls; longer, the longer ago the last food came. */
const FIRST_STEP_S = 0.5;
const STEP_OF_AGE = 0.04;
const LONGEST_STEP_S = 120;
/** Frames are this share of the food's age apart: enough to see it move. */
const FRAME_OF_AGE = 0.08;

/**
 * Run a model. A mean field: numbers of particles are expectations. Every loss is an exponential
 * share of what is there, so nothing goes below zero, and what is served is eaten, leached, lifted
 * or left.
 * @param stepScale multiple of the usual step, to check that the step does not matter
 * @param everyS    seconds between frames at most, less while food is new; Infinity keeps none
 */
export function simulate(model: Model, { stepScale = 1, everyS = Infinity } = {}): Outcome {
  const state = startOf(model);
  const hunt = new Hunt(model, state);
  const events = eventsOf(model);
  const frames: Frame[] = [];
  let nowS = 0;
  let lastInS = -LONGEST_STEP_S / STEP_OF_AGE;
  let nextFrameS = everyS < Infinity ? 0 : Infinity;
  let steps = 0;
  let event = 0;
  while (nowS < model.endS) {
    while (event < events.length && events[event]! <= nowS) event += 1;
    if (settle(state, model, nowS)) {
      lastInS = nowS;
      nextFrameS = Math.min(nextFrameS, everyS < Infinity ? nowS : Infinity);
    }
    if (nowS >= nextFrameS) {
      frames.push(frameOf(state, nowS));
      const since = Math.max(FIRST_STEP_S, (nowS - lastInS) * FRAME_OF_AGE);
      nextFrameS = nowS + Math.min(everyS, since);
    }
    const usual = Math.max(FIRST_STEP_S, (nowS - lastInS) * STEP_OF_AGE);
    const until = Math.min(events[event] ?? Infinity, model.endS);
    const wanted = Math.min(usual, LONGEST_STEP_S) * stepScale;
    // A step that would leave a sliver before the next event takes it along.
    const nextS = nowS + wanted * 1.001 >= until ? until : nowS + wanted;
    step(state, model, hunt, nowS, nextS - nowS);
    nowS = nextS;
    steps += 1;
  }
  settle(state, model, nowS);
  if (everyS < Infinity) frames.push(frameOf(state, nowS));
  return {
    eatenG: state.eaten,
    servedG: state.served,
    leachedG: state.leached,
    liftedG: state.lifted,
    leftG: gramsLying(state),
    buriedG: state.buried.map((count, i) => count * state.massG[i]!),
    stomachG: state.stomach,
    clearedS: state.cleared,
    frames,
    steps,
  };
}

/** Half of the movement before the meal and half after it: errors shrink with the square of the step. */
function step(state: State, model: Model, hunt: Hunt, nowS: number, dt: number) {
  const phase = phaseAt(model.light, model.fromMin + (nowS + dt / 2) / 60);
  move(state, model, nowS, dt / 2);
  hunt.step(phase, nowS, dt);
  move(state, model, nowS + dt / 2, dt / 2);
  leachAndGrow(state, model, nowS, dt, phase.day + phase.dusk / 4);
  noteCleared(state, model, nowS + dt, dt);
}

/** Times at which a step has to end: something goes in, or is lifted. */
function eventsOf(model: Model): number[] {
  const times = model.items.flatMap((item) => [item.inS, item.liftS]);
  return [...new Set(times)].filter((at) => at > 0 && at < model.endS).sort((a, b) => a - b);
}

const frameOf = (state: State, atS: number): Frame => ({
  atS,
  lies: Float32Array.from(gramsLying(state)),
  fill: Float32Array.from(state.stomach),
  where: Float32Array.from(state.where),
  eaten: Float32Array.from(state.eaten),
});
