import type { FoodRow, MealInWater, RoundView, Tank } from '@open-larder/contract';
import { isLitter } from '@open-larder/core/food';
import { liftAfter } from '@open-larder/core/feedingStyle';

/** One food of a meal, with its own clock. */
export type DropInWater = MealInWater['drops'][number];
export type MealPlace = Pick<MealInWater, 'tankId' | 'day' | 'momentId'>;

const MIN_MS = 60_000;

/** What can be left when it is lifted, as a share. */
export const LEFT = [
  { value: 0, label: 'Nothing' },
  { value: 0.25, label: 'A quarter' },
  { value: 0.5, label: 'Half' },
  { value: 0.75, label: 'Three quarters' },
  { value: 1, label: 'All: refused' },
];

export const mealKey = ({ day, momentId, tankId }: MealPlace) => `${day} ${momentId} ${tankId}`;

export const openDrops = ({ drops }: MealInWater): DropInWater[] =>
  drops.filter(({ ended }) => !ended);

const isAt = (place: MealPlace) => (meal: MealInWater) => mealKey(meal) === mealKey(place);

export const mealAt = (round: RoundView, place: MealPlace): MealInWater | null =>
  round.inWater.find(isAt(place)) ?? null;

/** Something went into a tank: it joins the meal of its moment. `round` is a draft, and is changed. */
export function putIn(round: RoundView, place: MealPlace, drop: DropInWater): void {
  const meal = round.inWater.find(isAt(place));
  if (!meal) round.inWater.push({ ...place, drops: [drop] });
  else meal.drops = [...meal.drops.filter(({ key }) => key !== drop.key), drop];
}

/** A serving was taken back: it never went in. */
export function takeOut(round: RoundView, day: string, key: string): void {
  for (const meal of round.inWater) {
    if (meal.day === day) meal.drops = meal.drops.filter((drop) => drop.key !== key);
  }
  round.inWater = round.inWater.filter((meal) => openDrops(meal).length > 0);
}

/** What became of some of a meal was said, or (`ended` false) that is taken back. */
export function setEnded(
  round: RoundView,
  meal: MealInWater,
  keys: readonly string[],
  ended: boolean,
): void {
  const now = round.inWater.find(isAt(meal)) ?? meal;
  const drops = now.drops.map((drop) => (keys.includes(drop.key) ? { ...drop, ended } : drop));
  const others = round.inWater.filter((one) => !isAt(meal)(one));
  round.inWater = drops.every((drop) => drop.ended) ? others : [...others, { ...now, drops }];
}

/** Whether a food stands in the tank for long: a slice over night, a leaf for weeks. */
export function stands(drop: DropInWater, tank: Pick<Tank, 'plan'>, foods: readonly FoodRow[]) {
  const at = liftAt(drop, tank, foods);
  return at !== null && at - Date.parse(drop.at) >= STANDS_MS;
}
/** From here on it is looked for at the tank, and not only on the round. Assumption. */
const STANDS_MS = 6 * 60 * MIN_MS;

export const isLeaf = (drop: DropInWater, foods: readonly FoodRow[]): boolean =>
  foods.some((food) => food.id === drop.foodId && isLitter(food));

/** When what is left of a food is to be lifted, ms; null where nothing of it is. */
export function liftAt(
  drop: DropInWater,
  tank: Pick<Tank, 'plan'>,
  foods: readonly FoodRow[],
): number | null {
  const food = foods.find((one) => one.id === drop.foodId);
  const after = food ? liftAfter(tank.plan?.feedingStyle ?? null, food) : null;
  return after === null ? null : Date.parse(drop.at) + (drop.manner.afterMin + after) * MIN_MS;
}
