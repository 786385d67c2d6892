import { mealSteps } from '../food';
import type { Manner } from '../round';
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
