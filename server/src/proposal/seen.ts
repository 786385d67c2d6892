import type { DietRow, Group, PlanRow, SightingRow } from '@open-larder/contract';
import {
  addDays,
  bellySigns,
  growthSigns,
  mealSign,
  SIGNS_DAYS,
  type Sign,
  type Tried,
  type WatchedMeal,
} from '@open-larder/core';
import { computeGrowthStatus } from '@open-larder/core/growth';
import { liftAfter } from '@open-larder/core/feedingStyle';
import type { Scope } from '../db';
import { measuredIn } from '../group/measured';
import type { HouseholdSnapshot } from '../round/house';

/**
 * What was seen of watched meals: each look with the drops that it speaks for still, since no later one
 * did, and who came by the last look that says so.
 */
const mealsSeen = (
  scope: Scope,
  from: string,
  to: string,
): Promise<
  (Pick<SightingRow, 'day' | 'clearedMin' | 'left' | 'came' | 'drops'> & { tankId: string })[]
> =>
  scope.rows(
    `SELECT e.tank_id, e.day::text, e.cleared_min, e."left", jsonb_agg(e.drop) AS drops,
            coalesce(c.came, '[]'::jsonb) AS came
       FROM last_meal_observation e
       LEFT JOIN last_meal_arrivals c
         ON c.household_id = e.household_id AND c.tank_id = e.tank_id AND c.day = e.day
            AND c.moment_id = e.moment_id AND c.day BETWEEN :from AND :to
      WHERE e.household_id = :household AND e.day BETWEEN :from AND :to AND NOT e.unwatched
      GROUP BY e.tank_id, e.day, e.moment_id, e.sighting_id, e.cleared_min, e."left", c.came
      ORDER BY e.tank_id, e.day, e.moment_id, e.sighting_id`,
    { from, to },
  );

/** What became of each food that a group was given in the days that proposals look back to. */
export const foodsTried = (scope: Scope, today: string): Promise<(Tried & { groupId: string })[]> =>
  scope.rows(
    `SELECT f.group_id, f.food_id, count(*)::int AS served,
            count(*) FILTER (WHERE f.refused_g > 0 OR EXISTS (
              SELECT 1 FROM last_meal_observation e
               WHERE e.household_id = f.household_id AND e.day = f.day
                 AND e.key = f.serving_id::text AND e."left" = 1))::int AS refused
       FROM active_feedings f
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :today AND f.dealt
        AND f.group_id IS NOT NULL
      GROUP BY f.group_id, f.food_id`,
    { from: addDays(today, 1 - SIGNS_DAYS), today },
  );

type DietVersion = Pick<DietRow, 'validFrom' | 'goalFactor' | 'servings'>;

/**
 * The day since which a group's portions are what they are: what was changed and changed back on one
 * day, or beside the portions, does not count.
 * @param diets its diets, the oldest first
 */
export function portionsSince(diets: readonly DietVersion[]): string {
  return portionsChanged(diets).at(-1) ?? '';
}

/** The days on which a group's portions became others, the oldest first. */
export function portionsChanged(diets: readonly DietVersion[]): string[] {
  const byDay = [...new Map(diets.map((diet) => [diet.validFrom, diet])).values()];
  const portionsOf = ({ goalFactor, servings }: DietVersion) =>
    JSON.stringify([goalFactor, servings]);
  const changed: string[] = [];
  let before = '';
  for (const diet of byDay) {
    const portions = portionsOf(diet);
    if (portions !== before) changed.push(diet.validFrom);
    before = portions;
  }
  return changed;
}

type Whose = Pick<Group, 'id' | 'tankId'>;

/** What was seen of the whole household, and what of it speaks about one group. */
export interface Seen {
  /** Signs of the days after one and up to another, the oldest first of each kind. */
  signsOf(group: Whose, after: string, upTo: string): Sign[];
}

/** @param from the first day of meals that are looked at, YYYY-MM-DD */
export async function readSeen(
  scope: Scope,
  household: HouseholdSnapshot,
  { from, today }: { from: string; today: string },
): Promise<Seen> {
  const meals = await mealsSeen(scope, from, today);
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const tanks = new Map(household.tanksOn(today).map((tank) => [tank.id, tank]));
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  const groups = new Map(household.on(today).groups.map((group) => [group.id, group]));

  const staysMin = (drops: SightingRow['drops'], plan: PlanRow | null): number | null => {
    const times = drops.flatMap(({ foodId }) => {
      const food = foods.get(foodId);
      return food ? (liftAfter(plan?.feedingStyle ?? null, food) ?? []) : [];
    });
    return times.length > 0 ? Math.min(...times) : null;
  };

  const mealOf = (
    { tankId, came, drops, ...meal }: (typeof meals)[number],
    groupId: string,
  ): WatchedMeal => {
    const all = drops.reduce((sum, drop) => sum + drop.massG, 0);
    const own = drops
      .filter((drop) => drop.groupId === groupId)
      .reduce((sum, drop) => sum + drop.massG, 0);
    return {
      ...meal,
      staysMin: staysMin(drops, tanks.get(tankId)?.plan ?? null),
      part: all > 0 ? own / all : 0,
      came: came.find((one) => one.groupId === groupId)?.share ?? null,
    };
  };

  /** What measurements say, where any is young enough: the curve of a group is not fitted for nothing. */
  const measuredSigns = (whose: Whose, after: string, upTo: string): Sign[] => {
    const group = groups.get(whose.id);
    const species = group && household.species.get(group.speciesKey);
    const tank = tanks.get(whose.tankId);
    const measured = measuredIn(lives.get(whose.id)?.events ?? [], upTo);
    if (!group || !species || !tank || !measured.some(({ day }) => day > after)) return [];
    const status = computeGrowthStatus({
      species,
      tempC: tank.tempC,
      count: group.size.total,
      measured,
      today: upTo,
      targetCm: null,
    });
    return growthSigns(status, group.stage).filter(({ day }) => day > after);
  };

  return {
    signsOf: (group, after, upTo) => {
      const within = ({ day }: { day: string }) => day > after && day <= upTo;
      return [
        ...bellySigns((lives.get(group.id)?.bellies ?? []).filter(within)),
        ...meals
          .filter((meal) => meal.tankId === group.tankId && within(meal))
          .flatMap((meal) => mealSign(mealOf(meal, group.id)) ?? []),
        ...measuredSigns(group, after, upTo),
      ];
    },
  };
}
