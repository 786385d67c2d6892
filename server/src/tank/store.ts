import type { Tank } from '@open-larder/contract';
import type { Scope } from '../db';
import { conflict } from '../http/problems';
import { planVersions, plansOn } from '../plan/store';
import { z } from 'zod';

const COLUMNS = `id, name, kind, shape, length_cm, width_cm, height_cm, water_level_cm, litres, ground,
  ground_depth_cm, decor, filter, flow, plants, cover, source_water, temp_c, ph, gh, light_on_min,
  light_off_min, walk_order, runs_since::text, film, film_on::text,
  (SELECT jsonb_build_object('tempC', w.temp_c, 'day', w.day::text) FROM active_water_events w
    WHERE w.household_id = tanks.household_id AND w.tank_id = tanks.id AND w.kind = 'tested'
      AND w.temp_c IS NOT NULL
    ORDER BY w.day DESC, w.seq DESC LIMIT 1) AS last_temp, version, archived`;

export async function readTank(scope: Scope, id: string): Promise<Tank | null> {
  const [row] = await scope.rows<Omit<Tank, 'plan'>>(
    `SELECT ${COLUMNS} FROM tanks WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ? ((await planned(scope, [row]))[0] ?? null) : null;
}

async function planned(scope: Scope, rows: readonly Omit<Tank, 'plan'>[]): Promise<Tank[]> {
  const plans = plansOn(
    await planVersions(
      scope,
      rows.map((row) => row.id),
    ),
    null,
  );
  return rows.map((row) => ({ ...row, plan: plans.get(row.id) ?? null }));
}

/** Tanks in walking order after a cursor of [walkOrder, id]; all of them without a limit. */
export async function tanks(
  scope: Scope,
  after: readonly (string | number)[] | null,
  limit: number | null,
): Promise<Tank[]> {
  const rows = await scope.rows<Omit<Tank, 'plan'>>(
    `SELECT ${COLUMNS} FROM tanks
      WHERE household_id = :household
        ${after === null ? '' : 'AND (walk_order, id) > (:walkOrder, :id)'}
      ORDER BY walk_order, id LIMIT :limit`,
    { limit, walkOrder: after?.[0] ?? 0, id: after?.[1] ?? null },
  );
  return planned(scope, rows);
}

/** How many groups live in a tank now. */
export async function groupsIn(scope: Scope, tankId: string): Promise<number> {
  const [row] = await scope.read(
    z.object({ groups: z.number() }),
    `SELECT count(*) AS groups FROM stays s JOIN groups g ON g.id = s.group_id
      WHERE s.household_id = :household AND s.tank_id = :tankId
        AND upper_inf(s.during) AND g.ended_on IS NULL`,
    { tankId },
  );
  return row?.groups ?? 0;
}

/**
 * Set the order in which the tanks are walked; those whose place stays keep their version.
 * @returns the tanks in that order
 * @throws ProblemError 409 where these are not the tanks that are kept: one was made or put away since
 */
export async function setWalk(scope: Scope, tankIds: readonly string[]): Promise<string[]> {
  await scope.lock('walk');
  const kept = await scope.read(
    z.object({ id: z.string() }),
    'SELECT id FROM tanks WHERE household_id = :household AND NOT archived',
  );
  const known = new Set(kept.map(({ id }) => id));
  if (tankIds.length !== known.size || !tankIds.every((id) => known.has(id))) {
    throw conflict('A tank was made or put away meanwhile. Reload and arrange them again.');
  }
  if (tankIds.length > 0) {
    await scope.rows(
      `UPDATE tanks t SET walk_order = place.at, version = t.version + 1
         FROM unnest(ARRAY[:tankIds]::uuid[]) WITH ORDINALITY AS place (id, at)
        WHERE t.household_id = :household AND t.id = place.id AND t.walk_order <> place.at
        RETURNING t.id`,
      { tankIds },
    );
  }
  return [...tankIds];
}
