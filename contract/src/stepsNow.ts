import type { PreparationStep } from '@open-larder/catalogue';
import { mealSteps } from '@open-larder/core/food';
import { inOrderOfUse } from '@open-larder/core/stock';
import type { FoodRow } from './food';

/** Minutes in which a portion thaws in a bowl of tank water. Practice. */
const THAWS_MIN = 30;
const TAKE_OUT: PreparationStep = {
  kind: 'take out of the freezer',
  leadMin: THAWS_MIN,
  workMin: 1,
  toMm: null,
};
/** Done before it went into the freezer, or by the thawing. */
const DONE: ReadonlySet<PreparationStep['kind']> = new Set(['blanch', 'thaw', 'rinse']);

/**
 * What is done to a food for a meal of a day. A vegetable, gel or mix of which the next lot stands in the
 * freezer was blanched or set before: a portion is taken out.
 */
export function stepsNow(
  { kind, steps, lots, keeps }: Pick<FoodRow, 'kind' | 'steps' | 'lots' | 'keeps'>,
  day: string,
): PreparationStep[] {
  const meal = mealSteps(steps);
  if (kind !== 'fresh' && kind !== 'gel' && kind !== 'mix') return meal;
  const held = lots.filter((lot) => lot.remainingG > 0);
  const next = inOrderOfUse(held, { day, openedDays: keeps.openedDays })[0];
  if (next?.place !== 'freezer') return meal;
  return [TAKE_OUT, ...meal.filter((step) => !DONE.has(step.kind))];
}
