import type { FoodCorrections } from '@open-larder/contract';
import type { Scope } from '../db';

/** Foods whose serving unit was corrected and not yet seen to be, by name. */
export async function foodCorrections(scope: Scope): Promise<FoodCorrections> {
  const foods = await scope.rows<FoodCorrections['foods'][number]>(
    `SELECT c.food_id, f.name, f.unit_name AS unit, c.was_g, c.is_g
       FROM food_corrections c
       JOIN foods f ON f.household_id = c.household_id AND f.id = c.food_id
      WHERE c.household_id = :household AND c.seen_at IS NULL AND NOT f.archived
      ORDER BY f.name, f.id`,
  );
  return { foods };
}

/** They are not shown again. Those of another household are left alone. */
export async function seeCorrections(
  scope: Scope,
  foodIds: readonly string[],
  now: Date,
): Promise<void> {
  await scope.rows(
    `UPDATE food_corrections SET seen_at = :now
      WHERE household_id = :household AND food_id IN (:foodIds) AND seen_at IS NULL
      RETURNING food_id`,
    { foodIds: [...foodIds], now },
  );
}
