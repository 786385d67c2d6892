import { sum } from 'd3-array';
import { fits, massOfPieceG, wasEaten } from '../../mouth';
import { isLitter } from '../../food';
import { largestMeal } from '../../ration';
import type { DayOutcome, WeekOutcome } from '../outcome';
import { maxOn, type WeekTask } from '../task';

/** A plan that breaks one of these is no advice, whatever it scores. */
export type Broken =
  | { rule: 'shelf'; foodId: string }
  /** Fewer pieces than mouths, of a food that is not torn or nibbled. */
  | { rule: 'pieces'; groupId: string; foodId: string }
  /** More at one moment than the water of the tank should take. */
  | { rule: 'flood'; atMin: number }
  /** One meal that is more than its gut holds, and does not stand for hours. */
  | { rule: 'gut'; groupId: string };

/**
 * Dry matter in a litre at one moment, g. Assumption: about a day’s need of a fully stocked community tank,
 * half a gram of fish a litre at two per cent of it, twice over.
 */
const FLOOD_G_PER_L = 0.02;
/** Stays in for hours, and is nibbled at by all. */
const STANDS_MIN = 240;

/**
 * What is wrong with a plan beyond what it misses.
 * @returns each food, group and moment once
 */
export function brokenRules(task: WeekTask, { days }: WeekOutcome): Broken[] {
  return [
    ...overShelf(task, days),
    ...fewPieces(task, days),
    ...flooded(task, days),
    ...overGut(task, days),
  ];
}

/** A meal may be so much larger than the gut holds, since it empties while they eat. Assumption. */
const MEAL_ROOM = 2;

function overGut(task: WeekTask, days: readonly DayOutcome[]): Broken[] {
  return task.groups.flatMap((group, f): Broken[] => {
    const limitG = largestMeal({ ...group, tempC: task.tank.tempC }).value * MEAL_ROOM;
    const isOver = days.some(({ drops, reaches }) =>
      [...new Set(drops.map(({ atMin }) => atMin))].some((atMin) => {
        const dryG = sum(drops, (drop, at) => {
          const food = task.foods.find(({ id }) => id === drop.foodId);
          if (drop.atMin !== atMin || !food || drop.groupId !== group.id || stands(food)) return 0;
          return drop.massG * reaches[at]![f]! * (1 - food.composition.moisture);
        });
        return dryG > limitG;
      }),
    );
    return isOver ? [{ rule: 'gut', groupId: group.id }] : [];
  });
}

const stands = (food: WeekTask['foods'][number]) =>
  food.kind === 'fresh' || isLitter(food) || (food.liftAfterMin ?? 0) >= STANDS_MIN;

function overShelf(task: WeekTask, days: readonly DayOutcome[]): Broken[] {
  const EPS = 1e-6;
  return task.shelf.flatMap((shelf): Broken[] => {
    const onDay = days.map(({ drops }) =>
      sum(drops, ({ foodId, massG }) => (foodId === shelf.foodId ? massG : 0)),
    );
    const over =
      sum(onDay) > shelf.stockG + EPS ||
      onDay.some((massG, day) => massG > maxOn(shelf, [day]) + EPS);
    return over ? [{ rule: 'shelf', foodId: shelf.foodId }] : [];
  });
}

function fewPieces(task: WeekTask, days: readonly DayOutcome[]): Broken[] {
  const seen = new Set<string>();
  return days.flatMap(({ drops }) =>
    drops.flatMap(({ groupId, foodId, massG }): Broken[] => {
      const key = `${groupId} ${foodId}`;
      const group = task.groups.find(({ id }) => id === groupId);
      const food = task.foods.find(({ id }) => id === foodId);
      if (!group || !food || seen.has(key) || stands(food)) return [];
      const offer = { ...food, ...food.inWater };
      const { particleMinMm: low, particleMaxMm: high } = food.inWater;
      if (low === null || high === null) return [];
      const { fit } = fits(group.species, group.lengthCm, offer, wasEaten(group, foodId));
      // What is bitten off, rasped or torn is shared whatever its number.
      if (fit === 'in bites' || fit === 'unknown') return [];
      const pieces = massG / massOfPieceG(offer, Math.sqrt(low * high));
      if (pieces >= group.count) return [];
      seen.add(key);
      return [{ rule: 'pieces', groupId, foodId }];
    }),
  );
}

function flooded(task: WeekTask, days: readonly DayOutcome[]): Broken[] {
  const dryOf = new Map(
    task.foods.map((food) => [
      food.id,
      food.kind === 'fresh' || isLitter(food) ? 0 : 1 - food.composition.moisture,
    ]),
  );
  const times = new Set<number>();
  for (const { drops } of days) {
    for (const { atMin } of drops) {
      const here = drops.filter((drop) => drop.atMin === atMin);
      const dryG = sum(here, ({ foodId, massG }) => massG * (dryOf.get(foodId) ?? 0));
      if (dryG > FLOOD_G_PER_L * task.tank.litres) times.add(atMin);
    }
  }
  return [...times].map((atMin): Broken => ({ rule: 'flood', atMin }));
}
