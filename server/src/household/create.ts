import { v7 as uuidv7 } from 'uuid';
import type { Registry, Scope } from '../db';
import { MOMENTS } from '../demo/scenario';

/** A household of its own, with the units, the clock and the moments of one that its owner knows. */
export async function createHousehold(
  registry: Registry,
  { id, name, like }: { id: string; name: string; like: string },
): Promise<void> {
  await registry.atomically(async (whole) => {
    const known = await whole.within(like, async (scope) => ({
      habits: (
        await scope.rows<Record<string, unknown>>(
          `SELECT time_zone, units, temperature, hardness, clock, week_start, currency, delivery_days,
                phrases
           FROM households WHERE id = :household`,
        )
      )[0],
      moments: await scope.rows<Record<string, unknown>>(
        `SELECT name, anchor, minutes, spare_min FROM moments
          WHERE household_id = :household AND NOT archived`,
      ),
    }));
    await whole.within(id, async (scope) => {
      await scope.rows(
        `INSERT INTO households (id, key, name, time_zone, units, temperature, hardness, clock,
                                 week_start, currency, delivery_days, phrases, version)
         VALUES (CAST(:household AS uuid), :household, :name, :timeZone, :units, :temperature, :hardness,
                 :clock, :weekStart, :currency, :deliveryDays, CAST(:phrases AS jsonb), 1)
         RETURNING id`,
        { ...known.habits, name, phrases: JSON.stringify(known.habits?.phrases ?? null) },
      );
      await scope.insert(
        'moments',
        known.moments.map((moment) => ({ ...moment, id: uuidv7(), version: 1, archived: false })),
      );
    });
  });
}

/** An empty household in the place of one that was erased, for the first owner to come. */
export async function beginAnew(
  scope: Scope,
  { key, timeZone }: { key: string; timeZone: string },
): Promise<void> {
  await scope.rows(
    `INSERT INTO households (id, key, name, time_zone, units, temperature, hardness, clock, week_start,
                             currency, delivery_days, version)
     VALUES (CAST(:household AS uuid), :key, 'My fish room', :timeZone, 'metric', 'C', 'dGH', '24', 1,
             'EUR', 4, 1)
     RETURNING id`,
    { key, timeZone },
  );
  await scope.insert(
    'moments',
    MOMENTS.map(({ key: _, ...moment }) => ({
      ...moment,
      id: uuidv7(),
      version: 1,
      archived: false,
    })),
  );
}
