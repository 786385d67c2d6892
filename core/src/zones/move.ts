import * as layers from './layers';
import type { Model } from './model';
import type { State } from './state';
import { GROUND_DRIFT } from './water';

// Kept here: in loops like these, looking an import up each time took a sixth of the whole.
const { GROUND, LAYER_COUNT } = layers;

/** cm/s at which a live food swims up and down. Assumption. */
const SWIMS_CM_S = 0.1;

/** Sink, hover, swim and drift: each an exponential share of what is there, so none is ever lost. */
export function move(state: State, model: Model, nowS: number, dt: number) {
  const film = state.items - 1;
  const { driftPerS, backPerS } = model.waters;
  const inWater = driftsOf(driftPerS, backPerS, dt);
  const onGround = driftsOf(driftPerS, backPerS, dt * GROUND_DRIFT);
  for (const i of state.active) {
    if (i === film) continue;
    sink(state, model, i, nowS, dt);
    for (let layer = 0; layer <= GROUND; layer += 1) {
      drift(state, i, layer, layer === GROUND ? onGround : inWater);
    }
  }
}

/** Shares that go from a place to elsewhere in a step, and from elsewhere back to each place. */
interface Drifts {
  out: number;
  back: Float64Array;
}

const driftsOf = (driftPerS: number, backPerS: Float64Array, dt: number): Drifts => ({
  out: -Math.expm1(-driftPerS * dt),
  back: backPerS.map((rate) => -Math.expm1(-rate * dt)),
});

/** From the lowest layer up: a particle passes one layer a step at most. */
function sink(state: State, model: Model, i: number, nowS: number, dt: number) {
  const { n, items } = state;
  const { columns, heightCm, mixesCmS } = model.waters;
  const item = model.items[i]!;
  const wet = sinkingShare(nowS + dt / 2 - item.inS, item.floatS);
  const speed = item.sinkCmS * wet;
  const stir = wet < 0.5 ? 0 : mixesCmS + (item.swims ? SWIMS_CM_S : 0);
  if (speed === 0 && stir === 0) return;
  for (let layer = GROUND - 1; layer >= 0; layer -= 1) {
    const height = heightCm[layer]!;
    // What sinks faster than the water stirs is not held up by it.
    const held = speed < stir ? (stir - speed) / height : 0;
    const down = speed / height + (layer < GROUND - 1 ? held : 0);
    const up = layer > 0 ? held : 0;
    if (down + up === 0) continue;
    const leaves = -Math.expm1(-(down + up) * dt);
    const below = down / (down + up);
    for (let column = 0; column < columns; column += 1) {
      const at = (column * LAYER_COUNT + layer) * items + i;
      const moved = n[at]! * leaves;
      if (moved === 0) continue;
      n[at]! -= moved;
      const buried = layer === GROUND - 1 ? item.buries : 0;
      state.buried[i]! += moved * below * buried;
      n[at + items]! += moved * below * (1 - buried);
      if (up > 0) n[at - items]! += moved * (1 - below);
    }
  }
}

/** Between the places and elsewhere, with the water; hardly at all on the ground. */
function drift({ n, items }: State, i: number, layer: number, { out, back }: Drifts) {
  const elsewhere = ((back.length - 1) * LAYER_COUNT + layer) * items + i;
  for (let column = 0; column < back.length - 1; column += 1) {
    const at = (column * LAYER_COUNT + layer) * items + i;
    const change = n[elsewhere]! * back[column]! - n[at]! * out;
    if (change === 0) continue;
    n[at]! += change;
    n[elsewhere]! -= change;
  }
}

/** How far a floating food has begun to sink: not at all, and then within a fifth of its time afloat. */
function sinkingShare(ageS: number, floatS: number): number {
  if (floatS === 0) return 1;
  return 1 / (1 + Math.exp(-(ageS - floatS) / (0.1 * floatS)));
}
