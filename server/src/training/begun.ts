import type { Tasting } from '@open-larder/core';
import type { Scope } from '../db';

/** A training as it was begun, and the day on which it ended. */
export interface BegunTraining {
  id: string;
  groupId: string;
  servingId: string;
  foodId: string;
  fromStep: number;
  day: string;
  endedOn: string | null;
  /** What became of its mixed meals, the oldest first. */
  offers: { day: string; taken: Tasting }[];
}

type Outcome = 'served' | 'less' | 'more' | 'refused';
const TAKEN: Record<Outcome, Tasting> = {
  served: 'taken',
  more: 'taken',
  less: 'some',
  refused: 'refused',
};

/** Every training of some groups with its mixed meals, the oldest first; of all without ids. */
export async function trainings(
  scope: Scope,
  which: readonly string[] | null,
): Promise<BegunTraining[]> {
  const only = which === null ? '' : 'AND t.group_id IN (:which)';
  const begun = await scope.rows<Omit<BegunTraining, 'offers'>>(
    `SELECT t.id, t.group_id, t.serving_id, t.food_id, t.from_step, t.day::text,
            e.day::text AS ended_on
       FROM trainings t LEFT JOIN trainings e ON e.ends = t.id
      WHERE t.household_id = :household AND t.ends IS NULL ${only} ORDER BY t.seq`,
    { which },
  );
  if (begun.length === 0) return [];
  const meals = await scope.rows<{ servingId: string; day: string; outcome: Outcome }>(
    `SELECT f.serving_id, f.day::text, f.outcome FROM active_feedings f
      WHERE f.household_id = :household AND f.serving_id IN (:ids) AND f.dealt
      ORDER BY f.day, f.at`,
    { ids: begun.map(({ id }) => id) },
  );
  const whole = new Map(
    begun.map((one) => [one.id, { ...one, offers: [] as BegunTraining['offers'] }]),
  );
  for (const { servingId, day, outcome } of meals) {
    whole.get(servingId)?.offers.push({ day, taken: TAKEN[outcome] });
  }
  return [...whole.values()];
}
