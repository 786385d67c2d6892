import { mealSteps } from '../food';
import type { Manner, Round } from '../round';
import type { FeedFood } from '../zones';

/** Minutes of a keeper's hands. Assumptions. */
const STOP_MIN = 1;
const SERVING_MIN = 0.3;
const MANNER_MIN = { carried: 1, apart: 5, later: 1, spot: 0.2 };

/** Minutes for one serving once one stands at the tank, what is prepared for the meal included. */
export function servingMin(food: Pick<FeedFood, 'steps'>, manner: Manner): number {
  const prepared = mealSteps(food.steps).reduce((sum, step) => sum + step.workMin, 0);
  return (
    SERVING_MIN +
    prepared +
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
    work[moment.id] = stops.reduce(
      (sum, stop) =>
        sum +
        stopMin +
        stop.servings.reduce((all, { food, serving }) => {
          const known = steps.get(food.id);
          return all + (known ? servingMin(known, serving.manner) : 0);
        }, 0),
      0,
    );
  }
  return work;
}
