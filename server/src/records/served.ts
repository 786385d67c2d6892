import type { Acceptance, Outcome, Served } from '@open-larder/contract';
import { addDays, pricePerGram, weekdayOf } from '@open-larder/core';
import { broods, type StoredBrood } from '../brood/store';
import type { Scope } from '../db';
import { groupsOn } from '../group/history';
import type { HouseholdSnapshot } from '../round/house';
import { z } from 'zod';

interface Span {
  from: string;
  to: string;
}

/** What became of a food for a group, or for the young of a brood, at a moment, in one way. */
interface Sum {
  /** Of the brood, where it went to young in a tub. */
  groupId: string;
  young: boolean;
  foodId: string;
  /** Null is beside the plan. */
  momentId: string | null;
  outcome: Outcome;
  /** Something was given. */
  dealt: boolean;
  count: number;
  givenG: number;
  refusedG: number;
  /** Of those of which something was given. */
  plannedG: number | null;
  /** Planned serving units of those of which nothing was. */
  skippedUnits: number | null;
}

/** Every serving that was ever planned; a training's mixed meal stands where its known food does. */
const SERVINGS = `SELECT s.id, s.moment_id, s.version FROM diet_servings s
   WHERE s.household_id = :household
  UNION ALL
  SELECT t.id, s.moment_id, s.version FROM trainings t
    JOIN diet_servings s ON s.household_id = t.household_id AND s.group_id = t.group_id
         AND s.id = t.serving_id
   WHERE t.household_id = :household AND t.ends IS NULL`;

/** One scan of the span: each sum is reported once, and what is shown is added up from these few rows. */
const sumServed = (scope: Scope, span: Span): Promise<Sum[]> =>
  scope.rows<Sum>(
    `SELECT coalesce(f.group_id, f.brood_id) AS group_id, f.tub_id IS NOT NULL AS young,
            f.food_id, m.moment_id, f.outcome, f.dealt, count(*)::int AS count,
            sum(f.mass_g) AS given_g, sum(f.refused_g) AS refused_g,
            sum(CASE WHEN f.planned_units = f.units THEN f.mass_g
                     WHEN f.units > 0 THEN f.planned_units * f.mass_g / f.units END) AS planned_g,
            sum(f.planned_units) FILTER (WHERE f.units = 0) AS skipped_units
       FROM active_feedings f
       LEFT JOIN (SELECT DISTINCT ON (id) id, moment_id FROM (${SERVINGS}) AS every
                   ORDER BY id, version DESC) AS m
         ON m.id = f.serving_id
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :to
      GROUP BY 1, 2, 3, 4, 5, 6`,
    { ...span },
  );

const sumLeft = (
  scope: Scope,
  span: Span,
): Promise<{ groupId: string; foodId: string; leftG: number }[]> =>
  scope.rows(
    `SELECT group_id, food_id, sum(left_g) AS left_g FROM left_of_meals
      WHERE household_id = :household AND day BETWEEN :from AND :to
        AND seen_on BETWEEN :from AND :to
      GROUP BY group_id, food_id`,
    { ...span },
  );

const pairOf = ({ groupId, foodId }: { groupId: string; foodId: string }) => `${groupId} ${foodId}`;

/** What was offered, refused and left in a span, summed in the database. */
export async function servedIn(
  scope: Scope,
  household: HouseholdSnapshot,
  span: Span,
): Promise<Served> {
  const [sums, left, kept] = await Promise.all([
    sumServed(scope, span),
    sumLeft(scope, span),
    broods(scope, null, null),
  ]);
  const leftOf = new Map(left.map((one) => [pairOf(one), one.leftG]));
  const pairs = new Map<string, Sum[]>();
  for (const sum of sums) {
    const known = pairs.get(pairOf(sum));
    if (known) known.push(sum);
    else pairs.set(pairOf(sum), [sum]);
  }
  return {
    rows: rowsOf([...pairs.values()], leftOf, household, kept, span),
    // Young are fed by the clock, at no moment of the house.
    moments: momentsOf(
      sums.filter(({ young }) => !young),
      household,
    ),
  };
}

/** In the place of a tank, for young that are in tubs. */
const YOUNG = 'Young in tubs';

const total = (sums: readonly Sum[], of: (sum: Sum) => number) =>
  sums.reduce((sum, one) => sum + of(one), 0);
const countOf = (dealt: boolean) => (sum: Sum) => (sum.dealt === dealt ? sum.count : 0);

/** By group and food. */
function rowsOf(
  pairs: readonly Sum[][],
  leftOf: ReadonlyMap<string, number>,
  household: HouseholdSnapshot,
  kept: readonly StoredBrood[],
  { to }: Span,
): Served['rows'] {
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const groups = new Map(groupsOn(household.history, to).map((group) => [group.id, group]));
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank]));
  const young = new Map(kept.map((brood) => [brood.id, brood]));
  const price = new Map(household.foods.map((food) => [food.id, pricePerGram(food.lots)]));
  return pairs.flatMap((sums) => {
    const { groupId, foodId } = sums[0]!;
    const food = foods.get(foodId);
    const group = groups.get(groupId);
    const name = group?.name ?? young.get(groupId)?.name;
    if (!food || name === undefined) return [];
    const offeredG = total(sums, ({ givenG }) => givenG);
    const refusedG = total(sums, ({ refusedG: grams }) => grams);
    const perG = price.get(foodId) ?? null;
    return [
      {
        groupId,
        foodId,
        servings: total(sums, countOf(true)),
        skipped: total(sums, countOf(false)),
        offeredG,
        refusedG,
        leftG: leftOf.get(pairOf(sums[0]!)) ?? 0,
        groupName: name,
        tankId: group?.tankId ?? groupId,
        tankName: group ? (tanks.get(group.tankId)?.name ?? '') : YOUNG,
        foodName: food.name,
        family: food.family,
        costMinor: perG === null ? null : perG * offeredG,
      },
    ];
  });
}

/** By moment: what was planned of what was logged, and what was given. */
function momentsOf(sums: readonly Sum[], household: HouseholdSnapshot): Served['moments'] {
  const unitG = new Map(household.foods.map((food) => [food.id, food.unit.massG]));
  const names = new Map(household.moments.map((moment) => [moment.id, moment.name]));
  const moments = new Map<string | null, Served['moments'][number]>();
  for (const sum of sums) {
    const { momentId, outcome, count, givenG, plannedG, skippedUnits, foodId } = sum;
    const name = momentId === null ? 'Beside the plan' : (names.get(momentId) ?? '');
    const row = moments.get(momentId) ?? {
      momentId,
      name,
      served: 0,
      less: 0,
      more: 0,
      refused: 0,
      skipped: 0,
      plannedG: 0,
      givenG: 0,
    };
    moments.set(momentId, row);
    row[outcome] += count;
    row.givenG += givenG;
    row.plannedG += (plannedG ?? 0) + (skippedUnits ?? 0) * (unitG.get(foodId) ?? 0);
  }
  return [...moments.values()];
}

/** How readily a group took each food, by weeks from Monday. */
export async function acceptanceIn(
  scope: Scope,
  household: HouseholdSnapshot,
  groupId: string,
  span: Span,
): Promise<Acceptance> {
  const rows = await scope.read(
    z.object({ foodId: z.string(), week: z.string(), offeredG: z.number(), lostG: z.number() }),
    `SELECT f.food_id, date_trunc('week', f.day)::date::text AS week, sum(f.mass_g) AS offered_g,
            sum(f.refused_g) + coalesce(min(l.left_g), 0) AS lost_g
       FROM active_feedings f
       LEFT JOIN (SELECT food_id, date_trunc('week', day) AS week, sum(left_g) AS left_g
                    FROM left_of_meals
                   WHERE household_id = :household AND day BETWEEN :from AND :to
                     AND seen_on BETWEEN :from AND :to AND group_id = :groupId GROUP BY 1, 2) AS l
         ON l.food_id = f.food_id AND l.week = date_trunc('week', f.day)
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :to
        AND f.group_id = :groupId AND f.mass_g > 0
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
