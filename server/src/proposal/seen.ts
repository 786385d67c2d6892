import type { DietRow, Group, PlanRow, SightingRow } from '@open-larder/contract';
import {
  addDays,
  bellySigns,
  mealSign,
  SIGNS_DAYS,
  type Sign,
  type Tried,
  type WatchedMeal,
} from '@open-larder/core';
import { liftAfter } from '@open-larder/core/school';
import type { Scope } from '../db';
import type { Household } from '../round/house';

/** The last look at each watched meal of the days that proposals look back to. */
const mealsSeen = (
  scope: Scope,
  today: string,
): Promise<
  (Pick<SightingRow, 'day' | 'clearedMin' | 'left' | 'came' | 'drops'> & { tankId: string })[]
> =>
  scope.rows(
    `SELECT DISTINCT ON (s.tank_id, s.day, s.moment_id)
            s.tank_id, s.day::text, s.cleared_min, s."left", s.came, s.drops
       FROM sightings s
      WHERE s.household_id = :household AND s.day BETWEEN :from AND :today AND s.undoes IS NULL
        AND NOT EXISTS (SELECT 1 FROM sightings u WHERE u.undoes = s.id)
      ORDER BY s.tank_id, s.day, s.moment_id, s.seq DESC`,
    { from: addDays(today, 1 - SIGNS_DAYS), today },
  );

/** What became of each food that a group was given in those days. */
const foodsTried = (scope: Scope, today: string): Promise<(Tried & { groupId: string })[]> =>
  scope.rows(
    `SELECT f.group_id, f.food_id, count(*)::int AS dealt,
            count(*) FILTER (WHERE f.outcome = 'refused')::int AS refused
       FROM feedings f
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :today AND f.undoes IS NULL
        AND f.outcome <> 'skipped'
        AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)
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
  const byDay = [...new Map(diets.map((diet) => [diet.validFrom, diet])).values()];
  const portionsOf = ({ goalFactor, servings }: DietVersion) =>
    JSON.stringify([goalFactor, servings]);
  let since = '';
  let before = '';
  for (const diet of byDay) {
    const portions = portionsOf(diet);
    if (portions !== before) since = diet.validFrom;
    before = portions;
  }
  return since;
}

/** What was seen of the whole household, and what of it speaks about one group. */
export interface Seen {
  /** Signs since its portions are what they are. */
  signsOf(group: Pick<Group, 'id' | 'tankId'>): Sign[];
  triedBy(groupId: string): Tried[];
}

export async function readSeen(scope: Scope, household: Household, today: string): Promise<Seen> {
  const [meals, tried] = await Promise.all([mealsSeen(scope, today), foodsTried(scope, today)]);
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const plans = new Map(household.tanksOn(today).map((tank) => [tank.id, tank.plan]));
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));

  const standsMin = (drops: SightingRow['drops'], plan: PlanRow | null): number | null => {
    const times = drops.flatMap(({ foodId }) => {
      const food = foods.get(foodId);
      return food ? (liftAfter(plan?.school ?? null, food) ?? []) : [];
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
      standsMin: standsMin(drops, plans.get(tankId) ?? null),
      part: all > 0 ? own / all : 0,
      came: came.find((one) => one.groupId === groupId)?.share ?? null,
    };
  };

  return {
    signsOf(group) {
      const life = lives.get(group.id);
      const since = portionsSince(life?.diets ?? []);
      return [
        ...bellySigns((life?.bellies ?? []).filter(({ day }) => day > since)),
        ...meals
          .filter(({ tankId, day }) => tankId === group.tankId && day > since)
          .flatMap((meal) => mealSign(mealOf(meal, group.id)) ?? []),
      ];
    },
    triedBy: (groupId) => tried.filter((one) => one.groupId === groupId),
  };
}
