import { daysBetween, type HouseGroup } from '../round';
import { MIXINGS, mixingOf, type Mixed, type Mixing } from './mixing';

/** What became of a food in a group's last two weeks: servings served, and those that were refused. */
export interface Tried {
  foodId: string;
  served: number;
  refused: number;
}

/** A food that a group refuses, and the serving of one that it takes, to train it with. */
export interface RefusedFood {
  foodId: string;
  /** The known food, and its serving. */
  withFoodId: string;
  servingId: string;
  served: number;
  refused: number;
  /** Days since it came; null for those that have been here for long. */
  newcomerDays: number | null;
  /** How the two are put together. */
  mixing: Mixing;
}

/** For so many days a group that came is a newcomer: it may know none of the foods here. Assumption. */
const NEWCOMER_DAYS = 30;
/** From this share refused a food is not known, up to that one it is. Assumptions. */
const UNKNOWN = 0.5;
const KNOWN = 0.25;
/** One refusal of a newcomer is enough to ask; others may have been full. Assumption. */
const REFUSALS = 2;

/**
 * Foods in a group's diet that it refuses though it takes another: what it can be trained onto, each
 * with the serving that it can be mixed with best, and of those the one that is given on the most days.
 * @param foods by id, as far as they can be mixed; those that are gone are trained with by none
 * @param today YYYY-MM-DD
 */
export function refusedFoods(
  { diet, lastOn, training }: Pick<HouseGroup, 'diet' | 'lastOn' | 'training'>,
  tried: readonly Tried[],
  foods: ReadonlyMap<string, Mixed>,
  today: string,
): RefusedFood[] {
  if (diet === null || training) return [];
  const since = lastOn.arrived === undefined ? null : daysBetween(lastOn.arrived, today);
  const newcomerDays = since !== null && since <= NEWCOMER_DAYS ? since : null;
  const min = newcomerDays === null ? REFUSALS : 1;
  const takes = new Set(
    tried.filter(({ served, refused }) => served > 0 && refused / served <= KNOWN).map(foodOf),
  );
  const known = diet.servings.filter(({ foodId }) => takes.has(foodId));
  const bestFor = (fresh: Mixed | undefined) =>
    known
      .flatMap((serving) => {
        const food = foods.get(serving.foodId);
        return food && fresh ? [{ serving, mixing: mixingOf(fresh, food) }] : [];
      })
      .sort(
        (a, b) =>
          MIXINGS.indexOf(a.mixing) - MIXINGS.indexOf(b.mixing) ||
          b.serving.days.length - a.serving.days.length,
      )[0];
  return tried
    .filter(
      ({ foodId, served, refused }) =>
        refused >= min &&
        refused / served >= UNKNOWN &&
        diet.servings.some((serving) => serving.foodId === foodId),
    )
    .flatMap(({ foodId, served, refused }): RefusedFood[] => {
      const best = bestFor(foods.get(foodId));
      if (!best) return [];
      const { serving, mixing } = best;
      return [
        {
          foodId,
          withFoodId: serving.foodId,
          servingId: serving.id,
          served,
          refused,
          newcomerDays,
          mixing,
        },
      ];
    });
}

const foodOf = ({ foodId }: Tried) => foodId;
