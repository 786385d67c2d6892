import type { LightHours, Round, RoundServing } from '../round';
import type { Drop } from './feeding';

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

/** A single meal is watched for this long at the least and at the most, minutes. */
const WATCHED_MIN = { least: 15, most: 24 * 60 };

/** One meal: from its moment until its last food is lifted. */
export function mealSpan(
  drops: readonly Drop[],
  liftAfterMin: (foodId: string) => number | null,
): { fromMin: number; toMin: number } {
  const fromMin = Math.min(...drops.map((drop) => drop.atMin));
  const ends = drops.map(
    (drop) => drop.atMin + drop.manner.afterMin + (liftAfterMin(drop.foodId) ?? WATCHED_MIN.least),
  );
  const wanted = Math.max(...ends) - fromMin;
  return {
    fromMin,
    toMin: fromMin + Math.min(WATCHED_MIN.most, Math.max(WATCHED_MIN.least, wanted)),
  };
}
