import type { WaterEventRow } from '@open-larder/contract';
import { AT, eventLog, type Scope } from '../db';

export const WATER_EVENTS = eventLog<WaterEventRow>({
  table: 'water_events',
  what: 'This test or change',
  columns: `e.id, e.tank_id, e.kind, e.day::text, e.hand, e.note, e.share, e.sure, e.tan, e.nitrite,
    e.nitrate, e.ph, e.gh, e.kh, e.tds_mg_l, e.temp_c, ${AT}`,
});

/** What happened to the water of some tanks since a day, the oldest first; of all tanks without ids. */
export const listEvents = (
  scope: Scope,
  which: readonly string[] | null,
  since: string,
): Promise<WaterEventRow[]> =>
  which?.length === 0
    ? Promise.resolve([])
    : WATER_EVENTS.list(
        scope,
        `e.day >= :since ${which === null ? '' : 'AND e.tank_id IN (:which)'}
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
  WATER_EVENTS.page(scope, 'day', {
    before,
    limit,
    where: 'e.tank_id = :tankId',
    values: { tankId },
  });

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
       SELECT l.group_id, l.day, sum(l.left_g * fd.protein) AS left_g
         FROM left_of_meals l
         JOIN foods fd ON fd.household_id = l.household_id AND fd.id = l.food_id
        WHERE l.household_id = :household AND l.day BETWEEN :from AND :to
          AND l.seen_on BETWEEN :from AND :to
        GROUP BY 1, 2)
     SELECT f.group_id, f.day::text, sum(f.mass_g * fd.protein) AS given_g,
            sum(f.refused_g * fd.protein) + coalesce(min(l.left_g), 0) AS lost_g
       FROM active_feedings f
       JOIN foods fd ON fd.household_id = f.household_id AND fd.id = f.food_id
       LEFT JOIN lifted l ON l.group_id = f.group_id AND l.day = f.day
      WHERE f.household_id = :household AND f.day BETWEEN :from AND :to AND f.mass_g > 0
        AND f.group_id IS NOT NULL
      GROUP BY 1, 2`,
    { from, to },
  );
