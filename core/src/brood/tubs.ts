import { greatest, rollups, sum } from 'd3-array';
import type { Feed } from './feeds';
import type { Growing } from './growing';
import { emptyTub, type BroodState, type TubState } from './line';
import type { BroodTask, BroodTub } from './status';
import { litresFor, spreadOf, survivalOf, wantsSorting } from './tub';
import { changeFor, hoursUntilConcern } from '../water/unfiltered';

export interface TubStatus extends TubState {
  id: string;
  name: string;
  litres: number;
  tempC: number;
  lengthCm: number | null;
  /** Coefficient of variation of the lengths; null where the ends were not measured. */
  spread: number | null;
  survival: number | null;
  sort: boolean;
  /** Litres that they want at their length; null until counted. */
  wantsL: number | null;
  gramsPerDay: number;
  /** It is what was logged as served, not what was worked out. */
  asServed: boolean;
  /** Of the young of the brood, 0..1. */
  share: number;
  /** Hours until its ammonia is of concern after a change of all; null filtered or without food. */
  hours: number | null;
  /** Share to change each day; null where no change is enough, 0 where none is computed. */
  change: number | null;
}

/** What was given to a tub on a day, less what was refused. */
export interface ServedToTub {
  tubId: string;
  day: string;
  massG: number;
  /** Protein in it, g. */
  proteinG: number;
}

/** Grams a day and their protein, by tub; a tub of which nothing was logged is not among them. */
export type Served = ReadonlyMap<string, { grams: number; proteinG: number }>;

/**
 * What a tub was really given a day: of yesterday and today the fuller, less what was taken out again, so
 * that a day that has only begun does not count as a lean one.
 */
export function servedOf({ served = [], events, today, tubs }: BroodTask): Served {
  const lifted = (tubId: string, day: string) =>
    events
      .filter((one) => one.kind === 'lifted' && one.day === day)
      .filter((one) => (one.tubId ?? tubs[0]?.id) === tubId)
      .reduce((left, { share }) => left * (1 - (share ?? 0)), 1);
  const days = rollups(
    served.filter(({ day }) => day <= today),
    (rows) => ({
      grams: sum(rows, ({ massG }) => massG) * lifted(rows[0]!.tubId, rows[0]!.day),
      proteinG: sum(rows, ({ proteinG }) => proteinG) * lifted(rows[0]!.tubId, rows[0]!.day),
    }),
    ({ tubId }) => tubId,
    ({ day }) => day,
  );
  return new Map(
    days.map(([tubId, each]) => [
      tubId,
      greatest(
        each.map(([, day]) => day),
        ({ grams }) => grams,
      )!,
    ]),
  );
}

/** Ammonia is computed at this pH at the least: the next change may raise it. Assumption. */
const MIN_PH = 7.5;
/** What is lifted goes with so much of the water each day at the least, where food is given. Assumption. */
const MIN_CHANGE = 0.1;
const DAY_H = 24;

/**
 * Every tub as it is with what is fed on a day.
 * @param age   days since they swim free; null if unknown
 * @param first where all of them are, before a count
 * @param served what was really given; left out for a day to come
 */
export function tubsOf(
  task: BroodTask,
  state: BroodState,
  feeds: readonly Feed[],
  growth: Growing,
  age: number | null,
  first: BroodTub,
  served: Served = new Map(),
): TubStatus[] {
  const states = new Map(state.tubs.map((tub) => [tub.tubId, tub]));
  const gramsPerDay = feeds.reduce((sum, feed) => sum + feed.gramsPerDay, 0);
  const byKey = new Map(task.foods.map((food) => [food.key, food]));
  const proteinG = feeds.reduce(
    (sum, { key, gramsPerDay: grams }) => sum + grams * byKey.get(key)!.composition.protein,
    0,
  );
  const protein = gramsPerDay > 0 ? proteinG / gramsPerDay : 0;
  return task.tubs.map((tub): TubStatus => {
    const known = states.get(tub.id) ?? emptyTub(tub.id);
    const lengthCm =
      age === null || age < 0 ? null : growth.lengthCm(age, growth.ahead(known.measured));
    // Uncounted, they are all in one tub.
    const share =
      state.count === null
        ? tub.id === (state.homeTubId ?? first.id)
          ? 1
          : 0
        : state.count === 0
          ? 0
          : (known.count ?? 0) / state.count;
    const given = served.get(tub.id);
    const planned = gramsPerDay * share;
    const water = {
      litres: tub.litres,
      ph: Math.max(MIN_PH, tub.ph ?? MIN_PH),
      tempC: tub.tempC,
      foodGPerDay: given?.grams ?? planned,
      protein: given && given.grams > 0 ? given.proteinG / given.grams : protein,
    };
    const still = tub.filtered || water.foodGPerDay === 0;
    return {
      ...known,
      id: tub.id,
      name: tub.name,
      litres: tub.litres,
      tempC: tub.tempC,
      lengthCm,
      spread: spreadOf(known),
      survival: survivalOf(known),
      sort: wantsSorting(known),
      wantsL: known.count === null || lengthCm === null ? null : litresFor(known.count, lengthCm),
      gramsPerDay: water.foodGPerDay,
      asServed: given !== undefined,
      share,
      hours: still ? null : hoursUntilConcern({ ...water, tanMgL: 0 }),
      change: still ? 0 : atLeast(changeFor(water, DAY_H)),
    };
  });
}

const atLeast = (share: number | null) => (share === null ? null : Math.max(MIN_CHANGE, share));
