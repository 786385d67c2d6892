import { Agent, request } from 'node:http';
import { performance } from 'node:perf_hooks';
import pg from 'pg';

/** A running server with much history, and the same database by `pg` alone. */
export interface Bench {
  pool: pg.Pool;
  householdId: string;
  get: (path: string) => Promise<string>;
  post: (path: string, body: object) => Promise<string>;
  close: () => Promise<void>;
}

/** The base has neither HTTP nor JSON, which are most of the work of a short query. */
export const MOSTLY_HTTP = 'none: mostly HTTP and JSON';

const CONCURRENCY = 8;
const ROUNDS = 5;

export async function openBench(): Promise<Bench> {
  const url = process.env.OPEN_LARDER_DB_URL;
  const port = Number(process.env.OPEN_LARDER_PORT);
  if (!url || !port) throw new Error('run the bench with npm run bench');
  // Settings as of the product: see db/connect.
  const pool = new pg.Pool({ connectionString: url, max: 10, options: '-c jit=off' });
  const { rows } = await pool.query<{ id: string }>('SELECT id FROM households LIMIT 1');
  const householdId = rows[0]?.id ?? '';
  await addHistory(pool, householdId, Number(process.env.OPEN_LARDER_BENCH_EVENTS ?? 1_000_000));
  const agent = new Agent({ keepAlive: true, maxSockets: CONCURRENCY });
  const ask = (method: string, path: string, body?: object) =>
    new Promise<string>((resolve, reject) => {
      const sent = body === undefined ? undefined : JSON.stringify(body);
      const headers = sent ? { 'Content-Type': 'application/json' } : {};
      const call = request({ host: '127.0.0.1', port, method, path, agent, headers }, (answer) => {
        let text = '';
        answer.setEncoding('utf8');
        answer.on('data', (chunk: string) => (text += chunk));
        answer.on('end', () =>
          (answer.statusCode ?? 500) < 300 ? resolve(text) : reject(new Error(text)),
        );
      });
      call.on('error', reject);
      call.end(sent);
    });
  return {
    pool,
    householdId,
    get: (path) => ask('GET', path),
    post: (path, body) => ask('POST', path, body),
    async close() {
      agent.destroy();
      await pool.end();
    },
  };
}

/** Years of servings, spread over the groups and foods of the demo, long before its own weeks. */
async function addHistory(pool: pg.Pool, householdId: string, events: number): Promise<void> {
  const { rows } = await pool.query<{ n: number }>('SELECT count(*)::int AS n FROM feedings');
  const missing = events - (rows[0]?.n ?? 0);
  if (missing <= 0) return;
  process.stdout.write(`· adding ${missing} events …\n`);
  await pool.query(
    `INSERT INTO feedings (id, household_id, serving_id, day, at, group_id, food_id, outcome,
                           planned_units, units, mass_g, note)
     SELECT gen_random_uuid(), $1, gen_random_uuid(), d, d + time '18:30', g.id, f.id, 'served',
            2, 2, 0.1, ''
       FROM generate_series(0, $2 - 1) i,
            LATERAL (SELECT current_date - 100 - (i % 2000) AS d) day,
            LATERAL (SELECT id FROM groups WHERE household_id = $1 ORDER BY id OFFSET i % 12 LIMIT 1) g,
            LATERAL (SELECT id FROM foods WHERE household_id = $1 ORDER BY id OFFSET i % 16 LIMIT 1) f`,
    [householdId, missing],
  );
  // One meal in twenty was watched to its end, and left some.
  await pool.query(
    `INSERT INTO sightings (id, household_id, tank_id, day, moment_id, cleared_min, "left", came, drops)
     SELECT gen_random_uuid(), $1, g.tank_id, f.day, m.id, NULL, 0.25, '[]',
            jsonb_build_array(jsonb_build_object('groupId', f.group_id, 'foodId', f.food_id,
                                                 'massG', f.mass_g))
       FROM (SELECT *, row_number() OVER (ORDER BY id) AS n FROM feedings WHERE household_id = $1) f
       JOIN (SELECT DISTINCT ON (group_id) group_id, tank_id FROM group_events
              WHERE household_id = $1 AND kind = 'moved') g ON g.group_id = f.group_id
       JOIN LATERAL (SELECT id FROM moments WHERE household_id = $1 ORDER BY id LIMIT 1) m ON true
      WHERE f.n % 20 = 0`,
    [householdId],
  );
  await pool.query('ANALYZE feedings');
  await pool.query('ANALYZE sightings');
}

/** Operations a second of `work`, several at a time. */
async function rate(work: () => Promise<unknown>, times: number): Promise<number> {
  let left = times;
  const begin = performance.now();
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      await work();
    }
  };
  await Promise.all(Array.from({ length: CONCURRENCY }, worker));
  return times / ((performance.now() - begin) / 1000);
}

const median = (values: number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number;

/** Throughput of two ways to do the same, in turn, and the median of their ratios. */
export async function compare(
  title: string,
  ours: () => Promise<unknown>,
  plain: () => Promise<unknown>,
  times: number,
  limit = 'at least 0.50',
): Promise<void> {
  await rate(ours, Math.ceil(times / 4));
  await rate(plain, Math.ceil(times / 4));
  const pairs: { ours: number; plain: number }[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    pairs.push({ ours: await rate(ours, times), plain: await rate(plain, times) });
  }
  row(
    title,
    `${Math.round(median(pairs.map((pair) => pair.ours)))}/s`,
    `${Math.round(median(pairs.map((pair) => pair.plain)))}/s`,
    median(pairs.map((pair) => pair.ours / pair.plain)),
    limit,
  );
}

/** The fastest of some runs, in ms: what the work takes when nothing is in its way. */
export function fastestOf(work: () => unknown, runs = 15): number {
  let best = Number.POSITIVE_INFINITY;
  for (let run = 0; run < runs; run += 1) {
    const begin = performance.now();
    work();
    best = Math.min(best, performance.now() - begin);
  }
  return best;
}

/** One line of the table. */
export function row(title: string, ours: string, base: string, ratio: number, limit: string): void {
  process.stdout.write(
    `| ${title.padEnd(52)} | ${ours.padStart(12)} | ${base.padStart(12)} | ${ratio.toFixed(2).padStart(6)} | ${limit} |\n`,
  );
}
