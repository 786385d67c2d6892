import { rollups } from 'd3-array';
import { isLitter } from '../../food';
import type { DietServing } from '../../round';
import { cycleOf, maxOn, type WeekTask } from '../task';
import type { DayKind } from './kinds';
import { offerKey, type Kept } from './model';
import { momentsOf, type Offer } from './offers';

/** How many steps of each offer are given: by kind of day, then offer. */
export type Steps = readonly (readonly number[])[];

/** What the present plan gives, day by day. */
export function keptOf(task: WeekTask): Kept {
  return Array.from({ length: cycleOf(task) }, (_, d) => {
    const has = new Set<string>();
    for (const group of task.house.groups) {
      for (const { days, foodId, momentId } of group.diet?.servings ?? []) {
        if (days.includes(d + 1)) has.add(offerKey(group.id, foodId, momentId));
      }
    }
    return has;
  });
}

/** Steps as servings: an offer that is the same on several days is one line. */
export function servingsOf(
  task: WeekTask,
  kinds: readonly DayKind[],
  offers: readonly Offer[],
  given: Steps,
  newId: () => string,
): { servings: Map<string, DietServing[]>; offerOf: Map<string, number> } {
  const moments = momentsOf(task);
  const now = new Map(task.house.groups.map((group) => [group.id, group.diet?.servings ?? []]));
  const litter = new Set(task.foods.filter(isLitter).map(({ id }) => id));
  // Leaves are shown beside the ration: they are the keeper's, and stay as they are.
  const servings = new Map<string, DietServing[]>(
    task.groups.map(({ id }) => [id, (now.get(id) ?? []).filter((one) => litter.has(one.foodId))]),
  );
  /** By serving: its place among the offers. */
  const offerOf = new Map<string, number>();
  offers.forEach((offer, o) => {
    const group = task.groups[offer.group]!;
    const food = task.foods[offer.food]!;
    const momentId = moments[offer.moment]!.id;
    const daysOf = rollups(
      kinds.map((kind, k) => ({ steps: given[k]![o]!, days: kind.days.map((d) => d + 1) })),
      (same) => same.flatMap(({ days }) => days),
      ({ steps }) => steps,
    );
    for (const [steps, days] of daysOf.sort(([a], [b]) => a - b)) {
      if (steps <= 0) continue;
      const same = now
        .get(group.id)
        ?.find(
          (one) => one.foodId === food.id && one.momentId === momentId && !offerOf.has(one.id),
        );
      const id = same?.id ?? newId();
      offerOf.set(id, o);
      servings.get(group.id)!.push({
        id,
        foodId: food.id,
        momentId,
        ...offer.like,
        days: days.sort((a, b) => a - b),
        weight: same?.weight ?? 1,
        ownUnits: tidy(steps * food.unit.step),
      });
    }
  });
  return { servings, offerOf };
}

const tidy = (value: number) => Math.round(value * 1e6) / 1e6;

/**
 * Whether steps keep to what is hard: the shelf, and how often a group may have a food. A programme
 * in whole units does; what was rounded, or moved by hand, may not.
 */
export function keepsLimits(
  task: WeekTask,
  kinds: readonly DayKind[],
  offers: readonly Offer[],
  given: Steps,
): boolean {
  const grams = new Map<number, number>();
  const onKind = kinds.map(() => new Map<number, number>());
  const servings = new Map<string, { times: number; max: number }>();
  offers.forEach(({ food, group, stepG, maxServings }, o) => {
    kinds.forEach(({ days }, k) => {
      const steps = given[k]![o]!;
      if (steps <= 0) return;
      grams.set(food, (grams.get(food) ?? 0) + days.length * steps * stepG);
      onKind[k]!.set(food, (onKind[k]!.get(food) ?? 0) + steps * stepG);
      const key = `${group} ${food}`;
      const times = (servings.get(key)?.times ?? 0) + days.length;
      servings.set(key, { times, max: maxServings });
    });
  });
  const shelfOf = (food: number) => task.shelf.find((one) => one.foodId === task.foods[food]!.id);
  return (
    [...servings.values()].every(({ times, max }) => times <= max) &&
    [...grams].every(([food, massG]) => massG <= (shelfOf(food)?.stockG ?? 0) + 1e-9) &&
    onKind.every((ofDay, k) =>
      [...ofDay].every(([food, massG]) => {
        const shelf = shelfOf(food);
        return shelf === undefined || massG <= maxOn(shelf, kinds[k]!.days) + 1e-9;
      }),
    )
  );
}
