import type { PreparationStep } from '@open-larder/catalogue';
import { mealSteps } from '../food';
import { addDays, compileRound, type FeedingModel } from '../round';

/** What of a food decides when it is prepared. */
export interface PreparedFood {
  id: string;
  steps: readonly PreparationStep[];
  /** Hours that it keeps once prepared; null if unknown. */
  keepsPreparedHours: number | null;
}

/** One meal that a preparation is for. */
export interface PreparedMeal {
  tankId: string;
  momentId: string;
  /** Minutes after the first day's midnight. */
  atMin: number;
  units: number;
  massG: number;
}

/** Something to do before meals, once for all that it is for. */
export interface Preparing {
  foodId: string;
  steps: PreparationStep[];
  /** When to begin: minutes after the first day's midnight; negative on the evening before. */
  startMin: number;
  /** When it must be ready: the first of its meals. */
  readyMin: number;
  meals: PreparedMeal[];
  units: number;
  massG: number;
  workMin: number;
}

/** Without another word it is prepared for meals no further apart than this, hours. Assumption. */
const KEEPS_H = 2;
const DAY_MIN = 1440;

/**
 * What is to be prepared when: soaking, thawing and the like, each before the meal that it serves,
 * merged over tanks and moments as long as what is prepared keeps.
 * @param first the first day, YYYY-MM-DD
 */
export function preparing(
  house: FeedingModel,
  foods: readonly PreparedFood[],
  first: string,
  days: number,
): Preparing[] {
  const known = new Map(foods.map((food) => [food.id, food]));
  const meals = new Map<string, PreparedMeal[]>();
  for (let d = 0; d < days; d += 1) {
    for (const { moment, stops } of compileRound(house, addDays(first, d)).moments) {
      for (const { tank, minutes, servings } of stops) {
        for (const { food, portion, serving } of servings) {
          const list = meals.get(food.id) ?? [];
          meals.set(food.id, list);
          list.push({
            tankId: tank.id,
            momentId: moment.id,
            atMin: d * DAY_MIN + minutes + serving.manner.afterMin,
            units: portion.units,
            massG: portion.massG,
          });
        }
      }
    }
  }
  return [...meals]
    .flatMap(([foodId, list]) => {
      const food = known.get(foodId);
      const steps = mealSteps(food?.steps ?? []);
      return food && steps.length > 0 ? merged(food, steps, list) : [];
    })
    .sort((a, b) => a.startMin - b.startMin || (a.foodId < b.foodId ? -1 : 1));
}

function merged(
  food: PreparedFood,
  steps: PreparationStep[],
  meals: readonly PreparedMeal[],
): Preparing[] {
  const keepsMin = (food.keepsPreparedHours ?? KEEPS_H) * 60;
  const leadMin = steps.reduce((sum, step) => sum + step.leadMin, 0);
  const workMin = steps.reduce((sum, step) => sum + step.workMin, 0);
  const batches: Preparing[] = [];
  for (const meal of [...meals].sort((a, b) => a.atMin - b.atMin)) {
    const last = batches.at(-1);
    if (last && meal.atMin - last.readyMin <= keepsMin) {
      last.meals.push(meal);
      last.units += meal.units;
      last.massG += meal.massG;
      continue;
    }
    batches.push({
      foodId: food.id,
      steps,
      startMin: meal.atMin - leadMin,
      readyMin: meal.atMin,
      meals: [meal],
      units: meal.units,
      massG: meal.massG,
      workMin,
    });
  }
  return batches;
}

/** A food that is put by in a batch, and what a plan takes of it. */
export interface PutBy {
  foodId: string;
  /** What is done once for the batch. */
  steps: PreparationStep[];
  units: number;
  massG: number;
}

/**
 * What could be made at the weekend for all of the days: foods whose preparation ends in a freezer
 * or a set gel, and what the plan takes of them.
 */
export function batchesOf(
  house: FeedingModel,
  foods: readonly PreparedFood[],
  first: string,
  days: number,
): PutBy[] {
  const put = new Map<string, PutBy>();
  for (const food of foods) {
    const steps = food.steps.slice(0, food.steps.length - mealSteps(food.steps).length);
    if (steps.length > 0) put.set(food.id, { foodId: food.id, steps, units: 0, massG: 0 });
  }
  for (let d = 0; d < days; d += 1) {
    for (const { stops } of compileRound(house, addDays(first, d)).moments) {
      for (const { food, portion } of stops.flatMap(({ servings }) => servings)) {
        const batch = put.get(food.id);
        if (!batch) continue;
        batch.units += portion.units;
        batch.massG += portion.massG;
      }
    }
  }
  return [...put.values()].filter(({ massG }) => massG > 0);
}
