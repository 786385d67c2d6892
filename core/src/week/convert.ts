import { mayNotFast } from '../fish';
import { toServingUnits } from '../food';
import { addDays, type DietServing } from '../round';
import { eatenOf, type FeedFood } from '../zones';
import { foodsFor } from './aims';
import { momentsOf } from './help/offers';
import { servingsFrom, cellsOf } from './cells';
import { dayOutcome, newMemory } from './outcome';
import type { FeedingStyle, FeedingStyleKey } from './feedingStyle';
import type { WeekGroup, WeekTask } from './task';

/** A group's diet as a change of feeding style touches it. */
export interface StyledDiet {
  servings: DietServing[];
  fastWeekdays: number[];
}

/** What a change of feeding style did to a group's plan, to be said. */
export interface Converted {
  key: FeedingStyleKey;
  groupId: string;
  /** Servings that changed, or none where it changes only how the plan is carried out. */
  servings: number;
}

/** Meals a day where there are many, and minutes in which a meal should be gone. Assumptions. */
const MANY = 3;
const CLEARS_MIN = 3;
const RESTS_ON = 7;

/**
 * The plan of a tank in another feeding style: converted, not thrown away. Energy over the day stays, only
 * how it is given changes; a portion by clearing time is what the simulation lets clear.
 * @param task the plan as it is, with the feeding style that it is in
 */
export function converted(
  task: WeekTask,
  to: FeedingStyle,
  newId: () => string,
): { diets: Map<string, StyledDiet>; said: Converted[] } {
  const said: Converted[] = [];
  const diets = new Map(
    task.house.groups.map((row): [string, StyledDiet] => [
      row.id,
      {
        servings: [...(row.diet?.servings ?? [])],
        fastWeekdays: [...(row.diet?.fastWeekdays ?? [])],
      },
    ]),
  );
  const changes = (Object.keys(to) as FeedingStyleKey[]).filter(
    (key) => to[key] !== task.feedingStyle[key],
  );
  for (const key of ORDER.filter((one) => changes.includes(one))) {
    for (const group of task.groups) {
      const before = diets.get(group.id);
      if (!before) continue;
      const after = STEPS[key]({ task, group, to, newId }, before);
      diets.set(group.id, after);
      said.push({ key, groupId: group.id, servings: differing(before, after) });
    }
  }
  return { diets, said };
}

interface Converting {
  task: WeekTask;
  group: WeekGroup;
  to: FeedingStyle;
  newId: () => string;
}

/** Foods first, then their moments, then their amounts. */
const ORDER: readonly FeedingStyleKey[] = ['staple', 'soak', 'fast', 'meals', 'portion', 'lift'];

const STEPS: Record<FeedingStyleKey, (with_: Converting, diet: StyledDiet) => StyledDiet> = {
  staple: restapled,
  soak: ({ task, to }, diet) => ({
    ...diet,
    servings: diet.servings.map((serving) => {
      const food = task.foods.find((one) => one.id === serving.foodId);
      return food && soaks(food)
        ? { ...serving, manner: { ...serving.manner, soaked: to.soak === 'soaked' } }
        : serving;
    }),
  }),
  fast: ({ group, to }, diet) =>
    to.fast === 'none'
      ? { ...diet, fastWeekdays: [] }
      : mayNotFast(group.stage) || group.stage === 'juvenile' || diet.fastWeekdays.length > 0
        ? diet
        : { ...diet, fastWeekdays: [RESTS_ON] },
  meals: spread,
  portion: portioned,
  lift: (_, diet) => diet,
};

/** Dry food that floats is what soaking changes. */
const soaks = (food: FeedFood) => food.kind === 'dry' && food.form !== 'sinks';

/** Dry foods for fresh ones, or the other way round: the best of the shelf, to the same part of a day. */
function restapled({ task, group, to }: Converting, diet: StyledDiet): StyledDiet {
  const wanted = (food: FeedFood) => (to.staple === 'fresh') !== (food.kind === 'dry');
  const best = foodsFor(task, group)
    .filter(
      ({ food, taken }) =>
        wanted(food) &&
        taken >= 0.5 &&
        (task.shelf.find((one) => one.foodId === food.id)?.stockG ?? 0) > 0,
    )
    .sort((a, b) => b.taken - a.taken || (a.food.id < b.food.id ? -1 : 1))[0]?.food;
  const kindOf = (id: string) => task.foods.find((one) => one.id === id);
  const has = diet.servings.some(({ foodId }) => kindOf(foodId)?.kind === 'dry');
  if (!best || (to.staple === 'dry' && has)) return diet;
  const commonest = maxDays(diet.servings);
  return {
    ...diet,
    servings: diet.servings.map((serving) => {
      const food = kindOf(serving.foodId);
      const swap = to.staple === 'fresh' ? food?.kind === 'dry' : serving.foodId === commonest;
      return swap
        ? {
            ...serving,
            foodId: best.id,
            ownUnits: null,
            manner: { ...serving.manner, soaked: false },
          }
        : serving;
    }),
  };
}

function maxDays(servings: readonly DietServing[]): string | undefined {
  const days = new Map<string, number>();
  for (const { foodId, days: on } of servings) {
    days.set(foodId, (days.get(foodId) ?? 0) + on.length);
  }
  return [...days].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0];
}

/** Two meals into many, or many into two, to the same sum of a day. */
function spread({ task, to, newId }: Converting, diet: StyledDiet): StyledDiet {
  const moments = momentsOf(task);
  const used = moments.filter(({ id }) => diet.servings.some((one) => one.momentId === id));
  if (used.length === 0) return diet;
  if (to.meals === 'two') {
    if (used.length <= 2) return diet;
    const ends = [used[0]!, used.at(-1)!];
    const nearest = (momentId: string) => {
      const atMin = moments.find(({ id }) => id === momentId)?.atMin ?? 0;
      const [first, last] = ends as [(typeof used)[0], (typeof used)[0]];
      return Math.abs(first.atMin - atMin) <= Math.abs(last.atMin - atMin) ? first.id : last.id;
    };
    const moved = diet.servings.map((one) => ({ ...one, momentId: nearest(one.momentId) }));
    return { ...diet, servings: servingsFrom(cellsOf(moved), newId) };
  }
  const more = moments.filter((moment) => !used.includes(moment));
  const extra = more.slice(0, Math.max(0, MANY - used.length));
  if (extra.length === 0) return diet;
  const parts = 1 + extra.length / used.length;
  const units = new Map(task.house.foods.map((food) => [food.id, food.unit]));
  const part = (serving: DietServing): DietServing => {
    const unit = units.get(serving.foodId);
    return {
      ...serving,
      weight: serving.weight / parts,
      ownUnits:
        serving.ownUnits === null || !unit
          ? serving.ownUnits
          : toServingUnits((serving.ownUnits * unit.massG) / parts, unit),
    };
  };
  return {
    ...diet,
    servings: servingsFrom(
      cellsOf(
        diet.servings.flatMap((serving) => [
          part(serving),
          ...extra
            .filter((_, at) => used[at % used.length]!.id === serving.momentId)
            .map(({ id }) => ({ ...part(serving), id: newId(), momentId: id })),
        ]),
      ),
      newId,
    ),
  };
}

/** By weight: computed. By clearing time: what is gone in time. Always grazing: computed, and it stands. */
function portioned({ task, group, to }: Converting, diet: StyledDiet): StyledDiet {
  if (to.portion !== 'clearing') {
    return { ...diet, servings: diet.servings.map((one) => ({ ...one, ownUnits: null })) };
  }
  const now = withDiet(task, group.id, diet);
  const memory = newMemory({ fill: task.groups.map(() => 0) });
  const units = new Map(task.house.foods.map((food) => [food.id, food.unit]));
  const clearing = new Map<string, number>();
  for (const serving of diet.servings) {
    const unit = units.get(serving.foodId);
    const day = dayOf(task, serving.days[0] ?? 1);
    const { drops } = dayOutcome(now, day, memory);
    const drop = drops.find((one) => one.key === serving.id);
    if (!unit || !drop) continue;
    const clears = (massG: number) => {
      const { clearedMin } = eatenOf(
        {
          tank: task.tank,
          groups: task.groups,
          foods: task.foods,
          drops: [{ ...drop, massG }],
          fromMin: drop.atMin,
          toMin: drop.atMin + drop.manner.afterMin + WATCHED_MIN,
        },
        { stepScale: 2, fill: task.groups.map(() => 0) },
      );
      return (clearedMin[0] ?? Infinity) <= CLEARS_MIN;
    };
    // The largest that clears, by halving between nothing and four times what is given now.
    let low = 0;
    let high = drop.massG * 4;
    for (let step = 0; step < HALVINGS; step += 1) {
      const middle = (low + high) / 2;
      if (clears(middle)) low = middle;
      else high = middle;
    }
    clearing.set(serving.id, toServingUnits(Math.max(low, unit.massG * unit.step), unit));
  }
  return {
    ...diet,
    servings: diet.servings.map((serving) => ({
      ...serving,
      ownUnits: clearing.get(serving.id) ?? serving.ownUnits,
    })),
  };
}

const WATCHED_MIN = 15;
const HALVINGS = 7;

const dayOf = (task: WeekTask, ofCycle: number): string => addDays(task.first, ofCycle - 1);

function withDiet(task: WeekTask, groupId: string, { servings }: StyledDiet): WeekTask {
  return {
    ...task,
    house: {
      ...task.house,
      groups: task.house.groups.map((row) =>
        row.id === groupId && row.diet
          ? { ...row, diet: { ...row.diet, servings, fastWeekdays: [] } }
          : row,
      ),
    },
  };
}

/** Servings that are not as they were, and fasts that were added or ended. */
function differing(before: StyledDiet, after: StyledDiet): number {
  const said = (diet: StyledDiet) => new Set(diet.servings.map((one) => JSON.stringify(one)));
  const was = said(before);
  const is = said(after);
  const changed = [...is].filter((one) => !was.has(one)).length;
  const gone = [...was].filter((one) => !is.has(one)).length;
  return Math.max(changed, gone) + Math.abs(before.fastWeekdays.length - after.fastWeekdays.length);
}
