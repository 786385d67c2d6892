import { toServingUnits } from '../food';
import type { Feed } from './feeds';
import { spreadOver } from './fryTimes';
import type { BroodFood } from './menu';
import type { TubStatus } from './tubs';

/** What one tub gets of one food at a time of the day. */
export interface FryServing {
  tubId: string;
  tubName: string;
  key: string;
  foodId: string | null;
  name: string;
  units: number;
  unit: BroodFood['unit'];
}

/** What the young get at one time of the day, in all their tubs. */
export interface FryMeal {
  /** Minutes after midnight. */
  minutes: number;
  servings: FryServing[];
}

/**
 * The meals of a day, tub by tub.
 * @param feeds what the whole brood is given
 * @param times at which they can be fed, in the order of the light
 */
export function mealsOf(
  feeds: readonly Feed[],
  tubs: readonly Pick<TubStatus, 'id' | 'name' | 'share'>[],
  times: readonly number[],
): FryMeal[] {
  const atHand = feeds.filter(({ missing, gramsPerMeal }) => !missing && gramsPerMeal > 0);
  const fed = tubs.filter(({ share }) => share > 0);
  const meals = new Map<number, FryServing[]>(times.map((minutes) => [minutes, []]));
  for (const feed of atHand) {
    const { key, name, unit, foodId, gramsPerMeal } = feed;
    for (const minutes of spreadOver(times, feed.meals)) {
      const servings = fed.map(({ id, name: tubName, share }) => ({
        tubId: id,
        tubName,
        key,
        foodId,
        name,
        units: toServingUnits(gramsPerMeal * share, unit),
        unit,
      }));
      meals.get(minutes)!.push(...servings);
    }
  }
  return [...meals].flatMap(([minutes, servings]) =>
    servings.length === 0 ? [] : [{ minutes, servings }],
  );
}
