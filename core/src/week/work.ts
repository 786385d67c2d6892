import { mealSteps } from '../food';
import type { Manner, Round } from '../round';
import type { FeedFood } from '../zones';

/** Minutes of a keeper's hands. Assumptions. */
const STOP_MIN = 1;
const SERVING_MIN = 0.3;
const MANNER_MIN = { carried: 1, apart: 5, later: 1, spot: 0.2 };

/** Minutes to prepare a food for one moment, however many tanks it is for. */
export const preparingMin = (food: Pick<FeedFood, 'steps'>): number =>
  mealSteps(food.steps).reduce((sum, step) => sum + step.workMin, 0);

/** Minutes for one serving once one stands at the tank with the food in hand. */
export function servingMin(manner: Manner): number {
  return (
    SERVING_MIN +
    (manner.carried ? MANNER_MIN.carried : 0) +
    (manner.apart ? MANNER_MIN.apart : 0) +
    (manner.afterMin > 0 ? MANNER_MIN.later : 0) +
    (manner.spots - 1) * MANNER_MIN.spot
  );
}

/** Minutes to walk to a tank, open it and look. */
export const stopMin = STOP_MIN;

/** Minutes of work of a compiled day by moment, over all its tanks. */
export function workOf(
  round: Round,
  foods: readonly Pick<FeedFood, 'id' | 'steps'>[],
): Record<string, number> {
  const steps = new Map(foods.map((food) => [food.id, food]));
  const work: Record<string, number> = {};
  for (const { moment, stops } of round.moments) {
    const served = stops.flatMap(({ servings }) => servings);
    const prepared = [...new Set(served.map(({ food }) => food.id))].flatMap(
      (id) => steps.get(id) ?? [],
    );
    work[moment.id] =
      stops.length * stopMin +
      served.reduce((sum, { serving }) => sum + servingMin(serving.manner), 0) +
      prepared.reduce((sum, food) => sum + preparingMin(food), 0);
  }
  return work;
}
