import { preparationOf, type FoodRow, type Preparation } from '@open-larder/contract';
import { preparingOf } from '@open-larder/contract/week';
import { type FeedingModel } from '@open-larder/core';
import { formatPreparation, formatUnits } from '@open-larder/say';

const DAY_MIN = 1440;
/** A hatch of a day and a half, begun today, is for the day after tomorrow. */
const AHEAD_DAYS = 3;

/** What is begun on a day, for meals of that day and those after it. */
export function preparationsOn(
  house: FeedingModel,
  foods: readonly FoodRow[],
  day: string,
): Preparation[] {
  const rows = new Map(foods.map((food) => [food.id, food]));
  const units = new Map(house.foods.map((food) => [food.id, food.unit]));
  return preparingOf(house, foods, day, AHEAD_DAYS)
    .filter(({ startMin }) => startMin >= 0 && startMin < DAY_MIN)
    .flatMap(({ foodId, steps, startMin, readyMin, meals, units: amount, workMin }) => {
      const food = rows.get(foodId);
      const unit = units.get(foodId);
      if (!food || !unit) return [];
      return {
        about: preparationOf(foodId, readyMin),
        foodId,
        foodName: food.name,
        family: food.family,
        what: formatPreparation(steps),
        amount: formatUnits(amount, unit),
        startMin,
        readyMin,
        tankIds: [...new Set(meals.map(({ tankId }) => tankId))],
        meals: meals.length,
        workMin,
      };
    });
}
