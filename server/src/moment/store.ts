import type { MomentRow } from '@open-larder/contract';
import type { Scope } from '../db';

const COLUMNS = 'id, name, anchor, minutes, spare_min, version, archived';

export async function readMoment(scope: Scope, id: string): Promise<MomentRow | null> {
  const [row] = await scope.rows<MomentRow>(
    `SELECT ${COLUMNS} FROM moments WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** Moments after a cursor, in order of id. */
export function moments(
  scope: Scope,
  after: string | null,
  limit: number | null,
): Promise<MomentRow[]> {
  return scope.rows<MomentRow>(
    `SELECT ${COLUMNS} FROM moments
      WHERE household_id = :household ${after === null ? '' : 'AND id > :after'}
      ORDER BY id LIMIT :limit`,
    { after, limit },
  );
}
