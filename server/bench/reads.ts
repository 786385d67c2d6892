import { compare, MOSTLY_HTTP, row, type Bench } from './bench';

const TANKS = `SELECT id, name, kind, shape, length_cm, width_cm, height_cm, water_level_cm, litres,
    ground, ground_depth_cm, decor, filter, flow, plants, cover, source_water, temp_c, ph, gh,
    light_on_min, light_off_min, walk_order, version, archived
  FROM tanks WHERE household_id = $1 ORDER BY walk_order, id LIMIT 501`;
const EVENTS = `SELECT * FROM group_events e WHERE household_id = $1
    AND NOT EXISTS (SELECT 1 FROM group_event_withdrawals w WHERE w.event_id = e.id)
  ORDER BY day, seq`;

/** The latest word on each food of each meal that was watched. */
const EATEN = `SELECT e.drop->>'groupId' AS group_id, e.drop->>'foodId' AS food_id, min(e.day)::text AS day
    FROM last_meal_observation e WHERE e.household_id = $1 AND NOT e.unwatched
     AND (e.cleared_min IS NOT NULL OR e."left" <= 0.5)
   GROUP BY 1, 2`;

/** The lists of a house of 300 tanks and 1 500 groups, against the queries behind them. */
export async function largeLists({ pool, householdId, get }: Bench): Promise<void> {
  await compare(
    'read: 300 tanks',
    () => get('/api/tanks'),
    () => pool.query(TANKS, [householdId]),
    200,
    MOSTLY_HTTP,
  );
  await compare(
    'read: 500 of 1 500 groups, with size, stage and diet',
    () => get('/api/groups?limit=500'),
    async () => {
      const { rows } = await pool.query<{ id: string }>(
        'SELECT id FROM groups WHERE household_id = $1 ORDER BY id LIMIT 501',
        [householdId],
      );
      const which = rows.slice(0, 500).map((row) => row.id);
      const own = (sql: string) => pool.query(sql, [householdId, which]);
      await Promise.all([
        own('SELECT * FROM groups WHERE household_id = $1 AND id = ANY($2) ORDER BY id'),
        own(EVENTS.replace('ORDER BY', 'AND group_id = ANY($2) ORDER BY')),
        own('SELECT * FROM diets WHERE household_id = $1 AND group_id = ANY($2) ORDER BY version'),
        own(
          'SELECT * FROM diet_servings WHERE household_id = $1 AND group_id = ANY($2) ORDER BY position',
        ),
      ]);
    },
    60,
  );
}

/** Lists and sums through the API against the SQL behind them. */
export async function reads({ pool, householdId, get }: Bench): Promise<void> {
  await compare(
    'read: all tanks',
    () => get('/api/tanks'),
    () => pool.query(TANKS, [householdId]),
    1500,
    MOSTLY_HTTP,
  );
  await compare(
    'read: 500 newest of a million servings',
    () => get('/api/feedings?limit=500'),
    () =>
      pool.query(
        `SELECT f.id, f.serving_id, f.day::text, f.group_id, f.food_id, f.outcome,
                f.planned_units, f.units, f.mass_g, f.note, f.at
           FROM feedings f WHERE f.household_id = $1 AND f.undoes IS NULL
            AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)
          ORDER BY f.day DESC, f.id DESC LIMIT 501`,
        [householdId],
      ),
    200,
  );
  const to = new Date().toISOString().slice(0, 10);
  const from = new Date(Date.now() - 27 * 86_400_000).toISOString().slice(0, 10);
  await compare(
    'read: four weeks of consumption, summed',
    () => get(`/api/records/consumption?from=${from}&to=${to}`),
    () => sumWithPg({ pool, householdId }, from, to),
    120,
  );
  // About a hundred and thirty thousand of a million servings lie in that year, as of sixty tanks.
  const year = new Date(Date.now() - 364 * 86_400_000).toISOString().slice(0, 10);
  const begin = performance.now();
  await get(`/api/records/served?from=${year}&to=${to}`);
  const first = performance.now() - begin;
  const begun = performance.now();
  await sumWithPg({ pool, householdId }, year, to);
  const bare = performance.now() - begun;
  row(
    'read: a year of what was served, summed; first time',
    `${Math.round(first)} ms`,
    `${Math.round(bare)} ms`,
    first / bare,
    'under 300 ms',
  );
  const asked = performance.now();
  await get('/api/proposals');
  const proposed = performance.now() - asked;
  row(
    'read: what is proposed; first time',
    `${Math.round(proposed)} ms`,
    `${Math.round(first)} ms`,
    proposed / first,
    'none: against the year above',
  );
}

/** The queries behind the records, as they are sent, and nothing computed from them. */
async function sumWithPg(
  { pool, householdId }: Pick<Bench, 'pool' | 'householdId'>,
  from: string,
  to: string,
) {
  const own = (sql: string, ...values: string[]) => pool.query(sql, [householdId, ...values]);
  await Promise.all([
    own('SELECT * FROM households WHERE id = $1'),
    own('SELECT * FROM tanks WHERE household_id = $1 ORDER BY walk_order, id'),
    own('SELECT * FROM moments WHERE household_id = $1 ORDER BY id'),
    own('SELECT * FROM foods WHERE household_id = $1 ORDER BY id'),
    own('SELECT * FROM lots WHERE household_id = $1 ORDER BY id'),
    own('SELECT * FROM groups WHERE household_id = $1 ORDER BY id'),
    own('SELECT * FROM species WHERE household_id = $1 ORDER BY id'),
    own(EVENTS),
    own('SELECT * FROM diets WHERE household_id = $1 ORDER BY version'),
    own('SELECT * FROM diet_servings WHERE household_id = $1 ORDER BY position'),
    own('SELECT * FROM tank_plans WHERE household_id = $1 ORDER BY version'),
    own(
      `SELECT * FROM looks l WHERE household_id = $1 AND undoes IS NULL AND belly IS NOT NULL
          AND NOT EXISTS (SELECT 1 FROM looks u WHERE u.undoes = l.id) ORDER BY day, seq`,
    ),
    own('SELECT * FROM trainings WHERE household_id = $1 ORDER BY seq'),
    own('SELECT * FROM broods WHERE household_id = $1 ORDER BY seq'),
    own('SELECT * FROM active_brood_events WHERE household_id = $1 ORDER BY seq'),
    own(EATEN),
    own(
      `SELECT f.day::text, f.group_id, f.food_id, sum(f.mass_g) AS mass_g FROM feedings f
        WHERE f.household_id = $1 AND f.day BETWEEN $2 AND $3 AND f.undoes IS NULL
          AND f.outcome <> 'skipped'
          AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)
        GROUP BY f.day, f.group_id, f.food_id`,
      from,
      to,
    ),
  ]);
}
