import { mean } from 'd3-array';
import { isLitter } from '../../food';
import { PLAIN, type DietServing } from '../../round';
import { energyPerGram, foodsFor } from '../aims';
import { momentsOf } from '../help/offers';
import type { Judged } from '../judge';
import { isLit } from '../litMoments';
import { feedsInTheDark, foodsByFit } from '../starting';
import { cycleOf, type WeekGroup, type WeekTask } from '../task';
import { isPinned, type Pins } from './pins';

/** A plan that is to be bettered, with what may be changed of it. */
export interface Trying {
  task: WeekTask;
  plan: Judged;
  pins: Pins;
  newId: () => string;
  /** Grams of a serving at a time in the plan that the keeper has; null of one that is new. */
  hadG: (servingId: string) => number | null;
}

export type TaskFood = WeekTask['foods'][number];

/** Given on no more days of a week than these a food is a treat, and stays one. Assumption. */
export const TREAT_DAYS = 2;
/** A serving with what comes of it: grams at a time, and the share of them that reaches its group. */
export interface Status {
  serving: DietServing;
  food: TaskFood;
  massG: number;
  reaches: number;
}

/** Servings of a group that may be changed, the one that gives it most first. */
export function statusOf({ task, plan, pins }: Trying, group: WeekGroup): Status[] {
  const f = task.groups.indexOf(group);
  const perGram = energyPerGram(task, group);
  return (plan.servings.get(group.id) ?? [])
    .flatMap((serving): Status[] => {
      const food = task.foods.find(({ id }) => id === serving.foodId);
      if (!food || isLitter(food) || isPinned(pins, serving)) return [];
      const drops = plan.outcome.days.flatMap((day) =>
        day.drops.flatMap((drop, at) =>
          drop.key === serving.id ? [{ massG: drop.massG, reaches: day.reaches[at]![f]! }] : [],
        ),
      );
      if (drops.length === 0) return [];
      return [
        {
          serving,
          food,
          massG: mean(drops, ({ massG }) => massG) ?? 0,
          reaches: mean(drops, ({ reaches }) => reaches) ?? 0,
        },
      ];
    })
    .sort((a, b) => weight(b) - weight(a));
  function weight({ serving, food, massG }: Status) {
    return massG * serving.days.length * (perGram[task.foods.indexOf(food)] ?? 0);
  }
}

export const isNoTreat = ({ serving }: Status) => serving.days.length > TREAT_DAYS;

/** Its share of the need on a feeding day, mean over some days or over the cycle. */
export function shareOf(
  { outcome }: Judged,
  f: number,
  days: readonly number[] = outcome.days.map((_, d) => d),
): number {
  const fed = days.map((d) => outcome.days[d]!.groups[f]!).filter(({ needKj }) => needKj > 0);
  return fed.length === 0 ? 1 : (mean(fed, ({ gotKj, needKj }) => gotKj / needKj) ?? 1);
}

export const unitOf = ({ task }: Trying, foodId: string) =>
  task.house.foods.find(({ id }) => id === foodId)!.unit;

export const isDark = ({ tank }: WeekTask, atMin: number): boolean => !isLit(atMin, tank.light);

/** The open moments, those in the light or the dark in which they feed first. */
export const rank = ({ task, pins }: Trying, group: WeekGroup) => {
  const dark = feedsInTheDark(group);
  return momentsOf(task)
    .filter(({ id }) => !pins.momentIds.has(id))
    .sort(
      (a, b) =>
        Number(isDark(task, b.atMin) === dark) - Number(isDark(task, a.atMin) === dark) ||
        a.atMin - b.atMin,
    );
};

/** What is given in the tank already is at hand, and what would pass its date is used up first. Assumptions. */
const AT_HAND = 1.15;
const USED_UP = 1.15;

/** Foods of the shelf that they take well, the fittest first. */
export function chosenFoods({ task, pins, plan }: Trying, group: WeekGroup): TaskFood[] {
  const never = new Set(
    (task.house.groups.find(({ id }) => id === group.id)?.diet?.rules ?? []).flatMap((rule) =>
      rule.mostPerWeek === 0 || rule.taken === 0 ? [rule.foodId] : [],
    ),
  );
  const capped = new Set(
    foodsFor(task, group).flatMap((one) => (one.capped === null ? [] : [one.food.id])),
  );
  const days = cycleOf(task);
  const usedG = new Map<string, number>();
  for (const { drops } of plan.outcome.days) {
    for (const { foodId, massG } of drops) usedG.set(foodId, (usedG.get(foodId) ?? 0) + massG);
  }
  const expiring = new Set(
    task.shelf.flatMap(({ foodId, expiringG }) => (expiringG > 0 ? [foodId] : [])),
  );
  const liked = ({ foodId, suits }: { foodId: string; suits: number }) =>
    suits * (usedG.has(foodId) ? AT_HAND : 1) * (expiring.has(foodId) ? USED_UP : 1);
  return foodsByFit(task, group)
    .filter(({ well, foodId }) => well && !never.has(foodId) && !pins.foodIds.has(foodId))
    .sort((a, b) => liked(b) - liked(a))
    .flatMap(({ foodId }) => task.foods.find(({ id }) => id === foodId) ?? [])
    .filter((food) => {
      const left =
        (task.shelf.find(({ foodId }) => foodId === food.id)?.stockG ?? 0) -
        (usedG.get(food.id) ?? 0);
      return (
        !isLitter(food) &&
        !capped.has(food.id) &&
        left >= food.unit.massG * food.unit.step * days * 0.5 &&
        !(task.feedingStyle.staple === 'fresh' && food.kind === 'dry')
      );
    });
}

export function lineOf(
  { task, newId }: Trying,
  group: WeekGroup,
  food: TaskFood,
  momentId: string,
  days: readonly number[],
  units: number | null,
): DietServing {
  const { zone } = group.species;
  const floats = food.kind === 'dry' && food.form !== 'sinks' && zone !== 'surface';
  return {
    id: newId(),
    foodId: food.id,
    momentId,
    zone,
    place: '',
    days,
    weight: 1,
    ownUnits: units,
    manner: { ...PLAIN, soaked: floats && task.feedingStyle.soak === 'soaked' },
  };
}
