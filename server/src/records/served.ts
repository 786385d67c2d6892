import type { Acceptance, Served } from '@open-larder/contract';
import { addDays, pricePerGram, weekdayOf } from '@open-larder/core';
import type { Scope } from '../db';
import { groupsOn } from '../group/history';
import type { Household } from '../round/house';
import { STANDING } from './standing';

interface Span {
  from: string;
  to: string;
}

/** What was seen to be left of each serving: of the last look at a meal, its share of every drop. */
const LEFT = `SELECT (drop->>'groupId')::uuid AS group_id, (drop->>'foodId')::uuid AS food_id,
    meal.day, meal."left" * (drop->>'massG')::numeric AS left_g
  FROM (SELECT DISTINCT ON (s.tank_id, s.day, s.moment_id) s.day, s."left", s.drops
          FROM sightings s
         WHERE s.household_id = :household AND s.day BETWEEN :from AND :to AND s.undoes IS NULL
           AND (s."left" IS NOT NULL OR s.cleared_min IS NOT NULL)
           AND NOT EXISTS (SELECT 1 FROM sightings u WHERE u.undoes = s.id)
         ORDER BY s.tank_id, s.day, s.moment_id, s.seq DESC) AS meal,
       jsonb_array_elements(meal.drops) AS drop
  WHERE meal."left" > 0`;

interface Sum {
  groupId: string;
  foodId: string;
  servings: number;
  skipped: number;
  offeredG: number;
  refusedG: number;
  leftG: number;
}

const sumByPair = (scope: Scope, span: Span): Promise<Sum[]> =>
  scope.rows<Sum>(
    `SELECT fed.*, coalesce(l.left_g, 0) AS left_g FROM (
       SELECT f.group_id, f.food_id,
              count(*) FILTER (WHERE f.outcome <> 'skipped')::int AS servings,
              count(*) FILTER (WHERE f.outcome = 'skipped')::int AS skipped,
              sum(f.mass_g) AS offered_g,
              coalesce(sum(f.mass_g) FILTER (WHERE f.outcome = 'refused'), 0) AS refused_g
         FROM feedings f WHERE ${STANDING} GROUP BY f.group_id, f.food_id) AS fed
       LEFT JOIN (SELECT group_id, food_id, sum(left_g) AS left_g FROM (${LEFT}) AS seen
                   GROUP BY group_id, food_id) AS l
         ON l.group_id = fed.group_id AND l.food_id = fed.food_id`,
    { ...span },
  );

/** Every serving that was ever planned; a training's mixed meal stands where its known food does. */
const SERVINGS = `SELECT s.id, s.moment_id, s.version FROM diet_servings s
   WHERE s.household_id = :household
  UNION ALL
  SELECT t.id, s.moment_id, s.version FROM trainings t
    JOIN diet_servings s ON s.household_id = t.household_id AND s.group_id = t.group_id
         AND s.id = t.serving_id
   WHERE t.household_id = :household AND t.ends IS NULL`;

const sumByMoment = (
  scope: Scope,
  span: Span,
): Promise<(Omit<Served['moments'][number], 'name'> & { momentId: string | null })[]> =>
  scope.rows(
    `SELECT m.moment_id,
            count(*) FILTER (WHERE f.outcome = 'served')::int AS served,
            count(*) FILTER (WHERE f.outcome = 'less')::int AS less,
            count(*) FILTER (WHERE f.outcome = 'more')::int AS more,
            count(*) FILTER (WHERE f.outcome = 'refused')::int AS refused,
            count(*) FILTER (WHERE f.outcome = 'skipped')::int AS skipped,
            sum(CASE WHEN f.units > 0 THEN f.planned_units * f.mass_g / f.units
                     ELSE f.planned_units * fo.unit_mass_g END) AS planned_g,
            sum(f.mass_g) AS given_g
       FROM feedings f
       JOIN foods fo ON fo.household_id = f.household_id AND fo.id = f.food_id
       LEFT JOIN (SELECT DISTINCT ON (id) id, moment_id FROM (${SERVINGS}) AS every
                   ORDER BY id, version DESC) AS m
         ON m.id = f.serving_id
      WHERE ${STANDING} GROUP BY m.moment_id`,
    { ...span },
  );

/** What was offered, refused and left in a span, summed in the database. */
export async function servedIn(scope: Scope, household: Household, span: Span): Promise<Served> {
  const [sums, done] = await Promise.all([sumByPair(scope, span), sumByMoment(scope, span)]);
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const groups = new Map(groupsOn(household.history, span.to).map((group) => [group.id, group]));
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank]));
  const moments = new Map(household.moments.map((moment) => [moment.id, moment]));
  const price = new Map(household.foods.map((food) => [food.id, pricePerGram(food.lots)]));
  return {
    rows: sums.flatMap((sum) => {
      const food = foods.get(sum.foodId);
      const group = groups.get(sum.groupId);
      if (!food || !group) return [];
      const perG = price.get(food.id) ?? null;
      // What was left of a serving that was taken back since is left of nothing.
      const leftG = Math.min(sum.leftG, sum.offeredG - sum.refusedG);
      return {
        ...sum,
        leftG,
        groupName: group.name,
        tankId: group.tankId,
        tankName: tanks.get(group.tankId)?.name ?? '',
        foodName: food.name,
        family: food.family,
        costMinor: perG === null ? null : perG * sum.offeredG,
      };
    }),
    moments: done.map((row) => ({
      ...row,
      name: row.momentId === null ? 'Beside the plan' : (moments.get(row.momentId)?.name ?? ''),
    })),
  };
}

/** How readily a group took each food, by weeks from Monday. */
export async function acceptanceIn(
  scope: Scope,
  household: Household,
  groupId: string,
  span: Span,
): Promise<Acceptance> {
  const rows = await scope.rows<{ foodId: string; week: string; offeredG: number; lostG: number }>(
    `SELECT f.food_id, date_trunc('week', f.day)::date::text AS week, sum(f.mass_g) AS offered_g,
            coalesce(sum(f.mass_g) FILTER (WHERE f.outcome = 'refused'), 0)
              + coalesce(min(l.left_g), 0) AS lost_g
       FROM feedings f
       LEFT JOIN (SELECT food_id, date_trunc('week', day) AS week, sum(left_g) AS left_g
                    FROM (${LEFT}) AS seen WHERE group_id = :groupId GROUP BY 1, 2) AS l
         ON l.food_id = f.food_id AND l.week = date_trunc('week', f.day)
      WHERE ${STANDING} AND f.group_id = :groupId AND f.mass_g > 0
      GROUP BY 1, 2 ORDER BY 2`,
    { ...span, groupId },
  );
  const weeks: string[] = [];
  const first = addDays(span.from, 1 - weekdayOf(span.from));
  for (let week = first; week <= span.to; week = addDays(week, 7)) weeks.push(week);
  const at = new Map(weeks.map((week, index) => [week, index]));
  const foods = new Map<string, Acceptance['foods'][number]>();
  for (const { foodId, week, offeredG, lostG } of rows) {
    const name = household.foods.find((food) => food.id === foodId)?.name;
    const index = at.get(week);
    if (name === undefined || index === undefined) continue;
    const food = foods.get(foodId) ?? { foodId, name, taken: weeks.map(() => null) };
    food.taken[index] = Math.max(0, 1 - lostG / offeredG);
    foods.set(foodId, food);
  }
  return { weeks, foods: [...foods.values()].sort((a, b) => (a.name < b.name ? -1 : 1)) };
}
