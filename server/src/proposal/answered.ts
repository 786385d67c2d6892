import type { Answered } from '@open-larder/contract';
import { addDays, ledTo, SIGNS_DAYS } from '@open-larder/core';
import type { Scope } from '../db';
import type { HouseholdSnapshot } from '../round/house';
import type { StoredAnswer } from './answers';
import { portionsChanged, readSeen } from './seen';

/** From so many days on a test shows of another rhythm of changes. Assumption: a usual interval. */
const TOLD_BY_TEST_DAYS = 7;

/** The tests of nitrate of some tanks from a day on, the oldest first. */
const testsSince = (
  scope: Scope,
  tankIds: readonly string[],
  since: string,
): Promise<{ tankId: string; day: string; nitrate: number }[]> =>
  tankIds.length === 0
    ? Promise.resolve([])
    : scope.rows(
        `SELECT w.tank_id, w.day::text, w.nitrate FROM active_water_events w
          WHERE w.household_id = :household AND w.tank_id IN (:tankIds) AND w.day >= :since
            AND w.nitrate IS NOT NULL
          ORDER BY w.day, w.seq`,
        { tankIds, since },
      );

/**
 * Answers with what spoke for them and what they led to: what was seen in the two weeks after, up to
 * the next change of the portions.
 */
export async function answeredOf(
  scope: Scope,
  household: HouseholdSnapshot,
  answers: readonly StoredAnswer[],
  today: string,
): Promise<Answered[]> {
  const oldest = answers.at(-1)?.day;
  if (oldest === undefined) return [];
  const tankIds = [...new Set(answers.flatMap(({ tankId }) => tankId ?? []))];
  const [seen, tests] = await Promise.all([
    readSeen(scope, household, { from: oldest, today }),
    testsSince(scope, tankIds, oldest),
  ]);
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  const groups = new Map(household.on(today).groups.map((group) => [group.id, group]));
  const foods = new Map(household.foods.map((food) => [food.id, food.name]));
  const tanks = new Map(household.tanks.map((tank) => [tank.id, tank.name]));

  const ledToOf = ({ kind, groupId, day }: StoredAnswer) => {
    const group = groupId === null ? undefined : groups.get(groupId);
    if (kind !== 'portions' || !group || day >= today) return null;
    const next = portionsChanged(lives.get(group.id)?.diets ?? []).find((one) => one > day);
    const ends = [addDays(day, SIGNS_DAYS), today, ...(next === undefined ? [] : [next])];
    return ledTo(seen.signsOf(group, day, ends.sort()[0]!));
  };

  return answers.map(({ version: _, signs, ...answer }) => {
    const { tankId, groupId, foodId, day, kind, accepted } = answer;
    const test = tests.find(
      (one) => one.tankId === tankId && one.day >= addDays(day, TOLD_BY_TEST_DAYS),
    );
    return {
      ...answer,
      about:
        (groupId === null
          ? tanks.get(tankId!)
          : (groups.get(groupId)?.name ?? lives.get(groupId)?.row.name)) ?? '',
      foodName: foodId === null ? null : (foods.get(foodId) ?? null),
      signs: signs.map((sign) => ({ seen: sign.seen, day: sign.day })),
      ledTo: ledToOf({ ...answer, version: 0, signs }),
      nitrate: kind === 'water' && accepted && test ? { day: test.day, mgL: test.nitrate } : null,
    };
  });
}
