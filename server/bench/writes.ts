import { v7 as uuidv7 } from 'uuid';
import { sampleLook } from '../src/testing/samples';
import { compare, MOSTLY_HTTP, type Bench } from './bench';

type Ask = (sql: string, ...values: unknown[]) => Promise<unknown>;

/** Logging a serving through the API against its SQL in one transaction, asked one after the other. */
export async function writes({ pool, householdId, post }: Bench): Promise<void> {
  /** What every change does besides: it is done once, and others hear of it. */
  const inTransaction = async (work: (ask: Ask) => Promise<unknown>) => {
    const client = await pool.connect();
    const ask: Ask = (sql, ...values) => client.query(sql, [householdId, ...values]);
    const key = uuidv7();
    try {
      await client.query('BEGIN');
      await ask("SELECT set_config('open_larder.household', $1, true)");
      await ask("INSERT INTO receipts (household_id, key, digest) VALUES ($1, $2, 'bench')", key);
      await ask('SELECT * FROM households WHERE id = $1');
      await work(ask);
      await ask(
        "UPDATE receipts SET answer = '{}' WHERE household_id = $1 AND key = $2 RETURNING key",
        key,
      );
      await ask(
        `WITH next AS (
           UPDATE change_counters SET last = last + 1 WHERE household_id = $1 RETURNING last)
         INSERT INTO changes (household_id, seq, route) SELECT $1, last, 'bench' FROM next`,
      );
      await client.query('COMMIT');
    } finally {
      client.release();
    }
  };
  const one = async (sql: string) =>
    (await pool.query<{ id: string }>(sql, [householdId])).rows[0]?.id ?? '';
  const groupId = await one('SELECT id FROM groups WHERE household_id = $1 LIMIT 1');
  // A food without lots: what is compared is the event, not an ever emptier shelf.
  const foodId = uuidv7();
  await pool.query(
    `INSERT INTO foods (id, household_id, name, family, kind, form, protein, fat, fibre, ash,
                        moisture, plant_share, unit_name, unit_plural, unit_mass_g, unit_step)
     VALUES ($1, $2, 'Bench flake', 'grain', 'dry', 'floats', 0.4, 0.1, 0, 0.1, 0.1, 0.3,
             'pinch', 'pinches', 0.05, 0.5)`,
    [foodId, householdId],
  );
  const lotId = uuidv7();
  await pool.query(
    `INSERT INTO lots (id, household_id, food_id, amount_g, place, bought_on)
     VALUES ($1, $2, $3, 1000000, 'cupboard', current_date)`,
    [lotId, householdId, foodId],
  );
  await pool.query(
    `INSERT INTO stock_events (id, household_id, lot_id, kind, delta_g, day)
     VALUES ($1, $2, $3, 'bought', 1000000, current_date)`,
    [uuidv7(), householdId, lotId],
  );
  const day = new Date().toISOString().slice(0, 10);
  const at = new Date().toISOString();
  await compare(
    'write: log a serving and draw the shelf',
    () =>
      post('/api/feedings', {
        id: uuidv7(),
        servingId: uuidv7(),
        day,
        groupId,
        foodId,
        outcome: 'served',
        plannedUnits: 2,
        units: 2,
        note: '',
        at,
      }),
    () =>
      inTransaction(async (ask) => {
        const id = uuidv7();
        const servingId = uuidv7();
        const lock = (name: string) =>
          ask('SELECT pg_advisory_xact_lock(hashtextextended($1::text || $2, 0))', name);
        await lock(`serving ${servingId} ${day}`);
        await ask('SELECT * FROM feedings WHERE household_id = $1 AND id = $2', id);
        await ask(
          `SELECT * FROM feedings f WHERE f.household_id = $1 AND f.undoes IS NULL AND f.day = $2
            AND f.serving_id = $3 AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)`,
          day,
          servingId,
        );
        await ask('SELECT 1 FROM groups WHERE household_id = $1 AND id = $2', groupId);
        await lock(`food ${foodId}`);
        await ask('SELECT * FROM foods WHERE household_id = $1 AND id = $2', foodId);
        await ask('SELECT * FROM lots WHERE household_id = $1 AND food_id = $2', foodId);
        await ask(
          'SELECT * FROM active_weighings WHERE household_id = $1 AND food_id = $2',
          foodId,
        );
        await ask(
          `SELECT 1 FROM stock_events WHERE household_id = $1 AND lot_id = $2 AND kind = 'counted'
            AND at > $3`,
          lotId,
          at,
        );
        await ask(
          `INSERT INTO feedings (id, household_id, serving_id, day, at, group_id, food_id, outcome,
                                 planned_units, units, mass_g, note)
           VALUES ($2, $1, $3, $4, $5, $6, $7, 'served', 2, 2, 0.1, '')`,
          id,
          servingId,
          day,
          at,
          groupId,
          foodId,
        );
        await ask(
          `INSERT INTO stock_events (id, household_id, lot_id, kind, delta_g, day, feeding_id)
           VALUES ($2, $1, $3, 'drawn', -0.1, $4, $5)`,
          uuidv7(),
          lotId,
          day,
          id,
        );
        await ask('SELECT * FROM feedings WHERE household_id = $1 AND id = $2', id);
      }),
    300,
  );
  await compare(
    'write: say how a group looked',
    () =>
      post('/api/looks', {
        id: uuidv7(),
        looks: [sampleLook(groupId, { day, at })],
      }),
    () =>
      inTransaction(async (ask) => {
        const id = uuidv7();
        await ask('SELECT id FROM groups WHERE household_id = $1 AND id = $2', groupId);
        await ask(
          `INSERT INTO looks (id, household_id, group_id, day, at, belly, hung_back, absent,
                              injured, note)
           VALUES ($2, $1, $3, $4, $5, 3, false, false, false, '')`,
          id,
          groupId,
          day,
          at,
        );
        await ask('SELECT * FROM looks WHERE household_id = $1 AND id = $2', id);
      }),
    300,
    MOSTLY_HTTP,
  );
}
