import type { Look, LookCreate } from '@open-larder/contract';
import type { Belly } from '@open-larder/core';
import type { Scope } from '../db';
import { idUsed, notFound } from '../http/problems';

const COLUMNS = `l.id, l.group_id, l.day::text, l.belly, l.hung_back, l.absent, l.injured, l.colour,
  l.droppings, l.note, l.hand, to_char(l.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;
/** Looks that stand: no undo, and not undone. */
const STANDING = `l.household_id = :household AND l.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM looks u WHERE u.undoes = l.id)`;

/** Looks at a group, newest first, before a cursor of [seq]. */
export const looks = (
  scope: Scope,
  groupId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(Look & { seq: number })[]> =>
  scope.rows(
    `SELECT l.seq, ${COLUMNS} FROM looks l
      WHERE ${STANDING} AND l.group_id = :groupId ${before === null ? '' : 'AND l.seq < :seq'}
      ORDER BY l.seq DESC LIMIT :limit`,
    { groupId, limit, seq: before?.[0] ?? 0 },
  );

/** Bellies that were seen, by group, the oldest first: what their need follows. */
export const bellies = (
  scope: Scope,
  which: readonly string[] | null,
): Promise<{ groupId: string; day: string; score: Belly }[]> =>
  scope.rows(
    `SELECT l.group_id, l.day::text, l.belly AS score FROM looks l
      WHERE ${STANDING} AND l.belly IS NOT NULL
        ${which === null ? '' : 'AND l.group_id IN (:which)'}
      ORDER BY l.day, l.seq`,
    { which },
  );

async function readLook(scope: Scope, id: string): Promise<(Look & { undone: boolean }) | null> {
  const [row] = await scope.rows<Look & { undone: boolean }>(
    `SELECT ${COLUMNS}, EXISTS (SELECT 1 FROM looks u WHERE u.undoes = l.id) AS undone
       FROM looks l WHERE l.household_id = :household AND l.id = :id AND l.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

/** @throws ProblemError 404 where there is no such group, 409 where the id is used already */
export async function addLook(scope: Scope, seen: LookCreate): Promise<Look> {
  const groups = await scope.rows(
    'SELECT id FROM groups WHERE household_id = :household AND id = :groupId',
    { groupId: seen.groupId },
  );
  if (groups.length === 0) throw notFound('This group');
  await scope.insertOnce('looks', [{ ...seen }]);
  const made = await readLook(scope, seen.id);
  if (!made) throw idUsed();
  const { undone: _, ...look } = made;
  return look;
}

/** Take a look back; a second time changes nothing. */
export async function undoLook(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<Look> {
  await scope.lock(`look ${id}`);
  const known = await readLook(scope, id);
  if (!known) throw notFound('This look');
  const { undone, ...look } = known;
  if (!undone) await scope.insert('looks', [{ ...look, id: undo.id, at: undo.at, undoes: id }]);
  return look;
}
