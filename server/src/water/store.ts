import type { WaterEventRow } from '@open-larder/contract';
import type { Scope } from '../db';

const EVENT = `e.id, e.tank_id, e.kind, e.day::text, e.hand, e.note, e.share, e.sure, e.tan, e.nitrite,
  e.nitrate, e.ph, e.gh, e.kh, e.tds_mg_l, e.temp_c,
  to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;
/** Events that stand: no undo, and not undone. */
const STANDING = `e.household_id = :household AND e.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM water_events u WHERE u.undoes = e.id)`;

/** What happened to the water of some tanks since a day, the oldest first; of all tanks without ids. */
export const happened = (
  scope: Scope,
  which: readonly string[] | null,
  since: string,
): Promise<WaterEventRow[]> =>
  which?.length === 0
    ? Promise.resolve([])
    : scope.rows(
        `SELECT ${EVENT} FROM water_events e
          WHERE ${STANDING} AND e.day >= :since ${which === null ? '' : 'AND e.tank_id IN (:which)'}
          ORDER BY e.day, e.at, e.seq`,
        { which, since },
      );

/** What happened to the water of a tank, newest first, before a cursor of [day, seq]. */
export const waterEvents = (
  scope: Scope,
  tankId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(WaterEventRow & { seq: number })[]> =>
  scope.rows(
    `SELECT e.seq, ${EVENT} FROM water_events e
      WHERE ${STANDING} AND e.tank_id = :tankId
        ${before === null ? '' : 'AND (e.day, e.seq) < (:day, :seq)'}
      ORDER BY e.day DESC, e.seq DESC LIMIT :limit`,
    { tankId, limit, day: before?.[0] ?? null, seq: before?.[1] ?? 0 },
  );

export async function readEvent(
  scope: Scope,
  id: string,
): Promise<(WaterEventRow & { undone: boolean }) | null> {
  const [row] = await scope.rows<WaterEventRow & { undone: boolean }>(
    `SELECT ${EVENT}, EXISTS (SELECT 1 FROM water_events u WHERE u.undoes = e.id) AS undone
       FROM water_events e WHERE e.household_id = :household AND e.id = :id AND e.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

/** Grams that a group was given of a food on a day, and what of them was not eaten. */
export interface GivenRow {
  groupId: string;
  day: string;
  /** Grams times their share of protein. */
  givenG: number;
  lostG: number;
}

/** Protein that was given and lost by group and day, added up in the database. */
export const proteinServed = (scope: Scope, from: string, to: string): Promise<GivenRow[]> =>
  scope.rows(
    `WITH lifted AS (
       SELECT (e.drop->>'groupId')::uuid AS group_id, e.day,
              sum(e."left" * (e.drop->>'massG')::numeric * fd.protein) AS left_g
         FROM meal_ends e
         JOIN foods fd ON fd.household_id = e.household_id AND fd.id = (e.drop->>'foodId')::uuid
        WHERE e.household_id = :household AND e.day BETWEEN :from AND :to AND e."left" > 0
        GROUP BY 1, 2)
     SELECT f.group_id, f.day::text, sum(f.mass_g * fd.protein) AS given_g,
            coalesce(sum(f.mass_g * fd.protein) FILTER (WHERE f.outcome = 'refused'), 0)
              + coalesce(min(l.left_g), 0) AS lost_g
       FROM feedings f
       JOIN foods fd ON fd.household_id = f.household_id AND fd.id = f.food_id
       LEFT JOIN lifted l ON l.group_id = f.group_id AND l.day = f.day
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :to AND f.undoes IS NULL
        AND f.mass_g > 0
        AND f.id NOT IN (SELECT u.undoes FROM feedings u
                          WHERE u.household_id = :household AND u.day BETWEEN :from AND :to
                            AND u.undoes IS NOT NULL)
      GROUP BY 1, 2`,
    { from, to },
  );
