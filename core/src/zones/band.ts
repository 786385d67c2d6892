import { chanceOf, type Chance } from '../chance';
import type { Feeding } from './feeding';
import type { Model } from './model';
import type { Feeder } from './feeder';
import type { Item } from './item';
import { energiesOf, shareOfNeed } from './report';
import { settled } from './settled';
import { simulate } from './simulate';
import { massSd, traitSd } from './spread';

/** The middle of what is likely, and where nine of ten runs lie. */
export interface Band {
  low: number;
  middle: number;
  high: number;
}

export interface Bands {
  runs: number;
  /** By group, in order: share of the day's need, %. */
  ofNeed: Band[];
  /** By drop, in order: minutes until gone; null where most runs leave it. */
  clearedMin: (Band | null)[];
}

/** A band is far wider than the error of a longer step. */
const STEP_SCALE = 3.5;

/**
 * How far off the rest may be, which cannot be seen: standard deviations of logarithms, but boldness on
 * its own scale. Assumptions: wide, since groups of one species differ.
 */
const UNSURE = {
  gathers: 0.5,
  /** Share of its time in which a group goes wherever food is, instead of where its kind lives. */
  strays: 0.15,
  boldness: 0.1,
  stomach: 0.15,
  handling: 0.3,
  floats: 0.3,
  sinks: 0.25,
};
/** Need follows mass to this power (NRC 2011). */
const NEED_BY_MASS = 0.8;

/**
 * Run a feeding many times over uncertain traits.
 * @param runs at least 2
 * @param seed the same seed gives the same bands
 * @param onRun called after each run with how many are done; answering false stops with those
 */
export function bandsOf(
  feeding: Feeding,
  runs: number,
  seed: number,
  onRun: (done: number) => boolean = () => true,
): Bands {
  const chance = chanceOf(seed);
  const usual = settled(feeding);
  const kjPerG = energiesOf(feeding, usual);
  const shares: number[][] = feeding.groups.map(() => []);
  const cleared: number[][] = feeding.drops.map(() => []);
  let done = 0;
  while (done < runs) {
    const model = jittered(usual, feeding, chance);
    const outcome = simulate(model, { stepScale: STEP_SCALE });
    shares.forEach((runs, f) => runs.push(shareOfNeed(model, outcome, kjPerG[f]!, f)));
    cleared.forEach((runs, drop) => runs.push((outcome.clearedS[drop] ?? Infinity) / 60));
    done += 1;
    if (!onRun(done)) break;
  }
  return {
    runs: done,
    ofNeed: shares.map(bandOf),
    clearedMin: cleared.map((minutes) => {
      const band = bandOf(minutes);
      return Number.isFinite(band.middle) ? band : null;
    }),
  };
}

/** @param values at least one; sorted in place */
export function bandOf(values: number[]): Band {
  values.sort((a, b) => a - b);
  const at = (share: number) => values[Math.round(share * (values.length - 1))]!;
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}

/** A model with every uncertain trait moved by chance, as far as what was learned leaves it in doubt. */
export function jittered(model: Model, { groups }: Feeding, chance: Chance): Model {
  const times = (spread: number) => Math.exp(spread * chance.normal());
  const feeders = model.feeders.map((feeder, f): Feeder => {
    const group = groups[f]!;
    const sure = group.learned?.sure;
    const coming = times(traitSd('coming', sure));
    const mass = times(massSd(group));
    const comes = (ready: number) => clamp01(ready * coming);
    const { day, dusk, night } = feeder.ready;
    const strays = Math.min(1, Math.abs(UNSURE.strays * chance.normal()));
    return {
      ...feeder,
      byDay: strayed(feeder.byDay, strays),
      byNight: strayed(feeder.byNight, strays),
      speedCmS: feeder.speedCmS * times(traitSd('search', sure)),
      ready: { day: comes(day), dusk: comes(dusk), night: comes(night) },
      gathersS: feeder.gathersS * times(UNSURE.gathers),
      boldness: clamp01(feeder.boldness + UNSURE.boldness * chance.normal()),
      stomachG: feeder.stomachG * mass * times(UNSURE.stomach),
      needKj: feeder.needKj * mass ** NEED_BY_MASS,
    };
  });
  const drift = new Map<number, { floats: number; sinks: number }>();
  const items = model.items.map((item): Item => {
    // Particles of one drop behave alike.
    const of = drift.get(item.drop) ?? { floats: times(UNSURE.floats), sinks: times(UNSURE.sinks) };
    drift.set(item.drop, of);
    return { ...item, floatS: item.floatS * of.floats, sinkCmS: item.sinkCmS * of.sinks };
  });
  const meetings = model.meetings.map((usual, f) => {
    const taking = times(traitSd('taking', groups[f]!.learned?.sure));
    const handling = times(UNSURE.handling);
    return usual.map((meeting) => ({
      ...meeting,
      taken: Math.min(1, meeting.taken * taking),
      handlingS: meeting.handlingS * handling,
    }));
  });
  return { ...model, feeders, items, meetings };
}

/** The same time out of shelter, a share of it spread over all depths. */
function strayed(layers: Float64Array, share: number): Float64Array {
  const even = layers.reduce((sum, one) => sum + one, 0) / layers.length;
  return layers.map((one) => (1 - share) * one + share * even);
}

const clamp01 = (value: number) => Math.min(1, Math.max(0, value));
