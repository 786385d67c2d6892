import { expect } from '@playwright/test';
import pg from 'pg';

/** Of a database that may just be starting again. */
async function read<T extends object>(url: string, sql: string): Promise<T[]> {
  const client = new pg.Client(url);
  await client.connect();
  try {
    return (await client.query<T>(sql)).rows;
  } finally {
    await client.end();
  }
}

const TWICE = `
  SELECT serving_id, day::text, count(*)::int AS times FROM feedings f
   WHERE undoes IS NULL AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)
   GROUP BY 1, 2 HAVING count(*) > 1`;

/** What was drawn for a feeding: all or a part of it, nothing where it was undone. */
const DRAWN_WRONG = `
  SELECT * FROM (
    SELECT f.id, f.mass_g::float8 AS fed, coalesce(-sum(s.delta_g), 0)::float8 AS drawn,
           EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id) AS undone
      FROM feedings f LEFT JOIN stock_events s ON s.feeding_id = f.id
     WHERE f.undoes IS NULL GROUP BY f.id) each
   WHERE drawn < -1e-6 OR drawn > CASE WHEN undone THEN 0 ELSE fed END + 1e-6`;

const SUMS = `SELECT lot_id AS id, sum(delta_g)::float8 AS grams FROM stock_events GROUP BY 1`;

interface Lot {
  id: string;
  remainingG: number;
}

/**
 * What must be true after every fault: all that was acknowledged is there, nothing is there twice, and the
 * shelf is the sum of what happened to it.
 */
export async function expectWhole(
  { url, databaseUrl }: { url: string; databaseUrl: string },
  acknowledged: readonly string[],
): Promise<void> {
  const all = await read<{ id: string }>(databaseUrl, 'SELECT id FROM feedings');
  const there = new Set(all.map(({ id }) => id));
  expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
  expect(await read(databaseUrl, TWICE)).toEqual([]);
  expect(await read(databaseUrl, DRAWN_WRONG)).toEqual([]);
  const sums = await read<{ id: string; grams: number }>(databaseUrl, SUMS);
  const answer = (await (await fetch(`${url}/api/foods?limit=1000`)).json()) as {
    items: { lots: Lot[] }[];
  };
  const shown = new Map(
    answer.items.flatMap(({ lots }) => lots.map(({ id, remainingG }) => [id, remainingG])),
  );
  for (const { id, grams } of sums) {
    if (shown.has(id)) expect(shown.get(id)).toBeCloseTo(Math.max(0, grams), 4);
  }
}

/** Everything that was fed, undone or not. */
export const countFed = async (databaseUrl: string): Promise<number> =>
  (await read<{ n: number }>(databaseUrl, 'SELECT count(*)::int AS n FROM feedings'))[0]!.n;

/** When and on which day each was fed, of those that were written last. */
export const lastFed = (databaseUrl: string, many: number) =>
  read<{ id: string; day: string; at: Date; serving_id: string }>(
    databaseUrl,
    `SELECT id, day::text, at, serving_id FROM feedings
      WHERE undoes IS NULL ORDER BY recorded_at DESC, id DESC LIMIT ${many}`,
  );
