import type { Feeding, MealInWater } from '@open-larder/contract';
import type { DietServing, HouseGroup } from '@open-larder/core';
import { isLitter } from '@open-larder/core/food';
import { feedingDay, PLAIN } from '@open-larder/core/round';
import { liftAfter } from '@open-larder/core/feedingStyle';
import { localDay, localMinutes } from '../clock';
import type { Scope } from '../db';
import type { HouseholdSnapshot } from '../round/house';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** So far back something can be in the water still: a slice put in the evening before. */
const LONGEST_MS = 36 * HOUR_MS;
/** So long after it should have been lifted, or after it went in, a food is watched. Assumptions. */
const UNSAID_MS = HOUR_MS;
const LITTER_UNSAID_MS = 14 * DAY_MS;

type Fed = Pick<Feeding, 'servingId' | 'foodId' | 'day' | 'massG'> & {
  groupId: string;
  at: string;
  ended: boolean;
};

/** What went into the water lately, and whether it was said what became of it. */
const fedLately = (scope: Scope, household: HouseholdSnapshot, now: Date): Promise<Fed[]> => {
  const since = (ms: number) => new Date(now.getTime() - ms);
  const litter = household.foods.filter(isLitter);
  const stays = Math.max(0, ...litter.map(({ liftAfterMin }) => liftAfterMin ?? 0)) * 60_000;
  const longest = Math.max(LONGEST_MS, litter.length > 0 ? stays + LITTER_UNSAID_MS : 0);
  return scope.rows(
    `SELECT f.serving_id, f.group_id, f.food_id, f.day::text, f.mass_g,
            to_char(f.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at,
            EXISTS (SELECT 1 FROM last_meal_observation e
                     WHERE e.household_id = f.household_id AND e.day = f.day
                       AND e.key = f.serving_id::text AND e.recorded_at >= f.recorded_at) AS ended
       FROM active_feedings f
      WHERE f.household_id = :household AND f.day >= :from AND f.group_id IS NOT NULL
        AND f.at > (CASE WHEN f.food_id::text IN (:litter) THEN :longSince ELSE :since END)::timestamptz
        AND f.mass_g > f.refused_g
      ORDER BY f.at, f.id`,
    {
      from: localDay(since(longest), household.timeZone),
      since: since(LONGEST_MS).toISOString(),
      longSince: since(longest).toISOString(),
      // A list in SQL is never empty.
      litter: ['', ...litter.map(({ id }) => id)],
    },
  );
};

/**
 * Meals of which something is in the water now, whoever put it in, the oldest first. What was logged
 * for another day than that on which it was tapped went in at an hour that is not known: it has no clock.
 */
export async function inWater(
  scope: Scope,
  household: HouseholdSnapshot,
  now: Date,
): Promise<MealInWater[]> {
  const fed = await fedLately(scope, household, now);
  const foods = new Map(household.foods.map((food) => [food.id, food]));
  const houses = new Map(
    [...new Set(fed.map(({ day }) => day))].map((day) => [
      day,
      { ...household.on(day).house, rows: household.tanksOn(day) },
    ]),
  );
  const today = localDay(now, household.timeZone);
  const groupsNow = new Map(household.on(today).house.groups.map((group) => [group.id, group]));
  const meals = new Map<string, MealInWater & { open: boolean }>();
  for (const one of fed) {
    const at = new Date(one.at);
    const house = houses.get(one.day)!;
    const fedAt = feedingDay(house, {
      day: localDay(at, household.timeZone),
      minutes: localMinutes(at, household.timeZone),
    });
    if (fedAt.day !== one.day) continue;
    const group = house.groups.find(({ id }) => id === one.groupId);
    const tank = house.rows.find(({ id }) => id === group?.tankId);
    const food = foods.get(one.foodId);
    // What was fed before there was a diet counts to a meal of the one that came.
    const planned =
      group && (plannedFor(group, one) ?? plannedFor(groupsNow.get(group.id) ?? group, one));
    if (!group || !tank || !food || !planned) continue;
    const staysMin =
      planned.manner.afterMin + (liftAfter(tank.plan?.feedingStyle ?? null, food) ?? 0);
    const unsaidMs = isLitter(food) ? LITTER_UNSAID_MS : UNSAID_MS;
    const watched = now.getTime() < at.getTime() + staysMin * 60_000 + unsaidMs;
    const key = `${one.day} ${planned.momentId} ${tank.id}`;
    const meal = meals.get(key) ?? {
      tankId: tank.id,
      day: one.day,
      momentId: planned.momentId,
      drops: [],
      open: false,
    };
    meals.set(key, meal);
    const ended = one.ended || !watched;
    meal.open ||= !ended;
    meal.drops.push({
      key: one.servingId,
      foodId: one.foodId,
      groupId: one.groupId,
      atMin: fedAt.minutes,
      massG: one.massG,
      zone: planned.zone,
      place: planned.place,
      manner: planned.manner,
      at: one.at,
      ended,
    });
  }
  return [...meals.values()].filter(({ open }) => open).map(({ open: _, ...meal }) => meal);
}

/** As what it was planned; what was fed beside the plan counts to a meal of the same food, or to any. */
function plannedFor(
  { diet, training }: HouseGroup,
  { servingId, foodId }: Fed,
): Pick<DietServing, 'momentId' | 'zone' | 'place' | 'manner'> | null {
  const servings = diet?.servings ?? [];
  const plannedId = training?.id === servingId ? training.servingId : servingId;
  const planned = servings.find(({ id }) => id === plannedId);
  if (planned) return planned;
  const beside = servings.find((one) => one.foodId === foodId) ?? servings[0];
  return beside ? { ...beside, manner: PLAIN } : null;
}
