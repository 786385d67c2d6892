import type { BroodRow, FryMealRow } from '@open-larder/contract';
import { formatServing, formatUnits } from '@open-larder/say';
import { lowerFirst } from '../ui';

/** A meal may be given so many minutes before its time. */
const BEFORE_MIN = 45;

export type FryServingRow = FryMealRow['servings'][number];

const isOpen = ({ servings }: FryMealRow) => servings.some(({ fed }) => fed === null);

/**
 * The meal that is to be given now: the last whose time has come, if it is open. One that was missed is not
 * made up for, since two at once are too much for a gut that small.
 */
export function dueMeal(meals: readonly FryMealRow[], minutes: number): FryMealRow | null {
  const last = meals.filter((meal) => meal.minutes - BEFORE_MIN <= minutes).at(-1);
  return last && isOpen(last) ? last : null;
}

export const nextMeal = (meals: readonly FryMealRow[], minutes: number): FryMealRow | null =>
  meals.find((meal) => meal.minutes - BEFORE_MIN > minutes) ?? null;

/** What of a meal can be logged: a food that is not on the shelf is put there first. */
export const toServe = ({ servings }: FryMealRow): (FryServingRow & { foodId: string })[] =>
  servings.filter(
    (one): one is FryServingRow & { foodId: string } => one.fed === null && one.foodId !== null,
  );

/** «1 drop hatched brine shrimp in each of 3 tubs» */
export function formatMeal({ servings }: FryMealRow): string {
  const foods = [...new Set(servings.map(({ key }) => key))];
  return foods
    .map((key) => {
      const own = servings.filter((one) => one.key === key);
      const amounts = [...new Set(own.map(({ units, unit }) => formatUnits(units, unit)))];
      const food = lowerFirst(own[0]!.name);
      return amounts.length === 1
        ? `${formatServing(amounts[0]!, food)}${own.length > 1 ? ` in each of ${own.length} tubs` : ''}`
        : `${food} in ${own.length} tubs: ${own.map(({ units, unit }) => formatUnits(units, unit)).join(', ')}`;
    })
    .join('; ');
}

/** What a brood’s tubs wait for now, in the row of the walk. */
export function mealLine(
  { meals }: Pick<BroodRow, 'meals'>,
  minutes: number,
  time: (minutes: number) => string,
): { due: FryMealRow | null; says: string } {
  const due = dueMeal(meals, minutes);
  if (due) return { due, says: `${time(due.minutes)}: ${formatMeal(due)}` };
  const next = nextMeal(meals, minutes);
  return { due: null, says: next ? `next ${time(next.minutes)}` : '' };
}

/** Water is changed after the last meal: until then it is not due. */
export function waitsForLastMeal(
  { what, urgent }: BroodRow['work'][number],
  { meals }: Pick<BroodRow, 'meals'>,
  minutes: number,
): boolean {
  const last = meals.at(-1);
  return what === 'change' && !urgent && last !== undefined && last.minutes > minutes;
}
