import type { Registry } from '../db';

/** A household of its own, with the units, the clock and the moments of one that its owner knows. */
export async function createHousehold(
  registry: Registry,
  { id, name, like }: { id: string; name: string; like: string },
): Promise<void> {
  await registry.rows(
    `INSERT INTO households (id, key, name, time_zone, units, temperature, hardness, clock,
                             week_start, currency, delivery_days, phrases, version)
     SELECT CAST(:id AS uuid), :id, :name, time_zone, units, temperature, hardness, clock,
            week_start, currency, delivery_days, phrases, 1
       FROM households WHERE id = :like
     RETURNING id`,
    { id, name, like },
  );
  await registry.rows(
    `INSERT INTO moments (id, household_id, name, anchor, minutes, spare_min)
     SELECT gen_random_uuid(), CAST(:id AS uuid), name, anchor, minutes, spare_min
       FROM moments WHERE household_id = :like AND NOT archived
     RETURNING id`,
    { id, like },
  );
}
