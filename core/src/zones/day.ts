import {
  addDays,
  compileRound,
  type FeedingModel,
  type LightHours,
  type Round,
  type RoundServing,
} from '../round';
import type { Drop, FeedFood } from './feeding';

/** What goes into one tank on a compiled day, by the clock. */
export function dropsOf(round: Round, tankId: string): Drop[] {
  return round.moments
    .flatMap(({ stops }) => stops)
    .filter((stop) => stop.tank.id === tankId)
    .flatMap(({ minutes, servings }) => servings.map((serving) => dropOf(serving, minutes)))
    .sort((a, b) => a.atMin - b.atMin);
}

const dropOf = ({ serving, food, portion, group }: RoundServing, atMin: number): Drop => ({
  key: serving.id,
  foodId: food.id,
  groupId: group.id,
  atMin,
  massG: portion.massG,
  zone: serving.zone,
  place: serving.place,
  manner: serving.manner,
});

/** Longest that anything is looked for in the water, days. */
const LONGEST_DAYS = 60;

/**
 * What the plan puts into a tank on the days before one, the nearest first, as far back as any of
 * its foods may stay in. Empty where nothing of them stands overnight.
 * @param foods with the times at which this tank's keeper lifts them
 */
export function dropsBefore(
  house: FeedingModel,
  tankId: string,
  foods: readonly Pick<FeedFood, 'id' | 'liftAfterMin'>[],
  day: string,
): Drop[][] {
  const planned = new Set(
    house.groups
      .filter((group) => group.tankId === tankId)
      .flatMap(({ diet }) => diet?.servings.map(({ foodId }) => foodId) ?? []),
  );
  const longestMin = Math.max(
    0,
    ...foods.map(({ id, liftAfterMin }) => (planned.has(id) ? (liftAfterMin ?? 0) : 0)),
  );
  const days =
    longestMin > OVERNIGHT_MIN ? Math.min(LONGEST_DAYS, Math.ceil(longestMin / DAY_MIN)) : 0;
  // Older days repeat those of one cycle: only leaves lie so long, and they go in by the plan.
  const cycle = house.tanks.find(({ id }) => id === tankId)?.plan.cycle.days ?? days;
  const recent = Array.from({ length: Math.min(days, cycle) }, (_, at) =>
    dropsOf(compileRound(house, addDays(day, -1 - at)), tankId),
  );
  return Array.from({ length: days }, (_, at) => recent[at % recent.length]!);
}

/** What is lifted so soon does not stand until the next day's lights. Assumption. */
const OVERNIGHT_MIN = 360;

/** Minutes of quiet before the first thing happens, so that a day does not begin with a meal. */
const BEFORE_MIN = 15;
const DAY_MIN = 1440;

/** A whole day of a tank: from shortly before its lights come on, or before an earlier meal. */
export function daySpan(
  light: LightHours,
  drops: readonly Drop[],
): { fromMin: number; toMin: number } {
  const first = Math.min(...drops.map((drop) => drop.atMin), light.onMin);
  const last = Math.max(...drops.map((drop) => drop.atMin + drop.manner.afterMin), 0);
  const fromMin = first - BEFORE_MIN;
  return { fromMin, toMin: Math.max(fromMin + DAY_MIN, last + BEFORE_MIN) };
}

/** A single meal is watched for this long at least and at most, minutes. */
const WATCHED_MIN = { min: 15, max: 24 * 60 };

/** One meal: from its moment until its last food is lifted. */
export function mealSpan(
  drops: readonly Drop[],
  liftAfterMin: (foodId: string) => number | null,
): { fromMin: number; toMin: number } {
  const fromMin = Math.min(...drops.map((drop) => drop.atMin));
  const ends = drops.map(
    (drop) => drop.atMin + drop.manner.afterMin + (liftAfterMin(drop.foodId) ?? WATCHED_MIN.min),
  );
  const wanted = Math.max(...ends) - fromMin;
  return {
    fromMin,
    toMin: fromMin + Math.min(WATCHED_MIN.max, Math.max(WATCHED_MIN.min, wanted)),
  };
}
