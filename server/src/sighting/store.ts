import type { BodyOf, LearnedRow, SightingRow } from '@open-larder/contract';
import type { Scope } from '../db';
import { refused, stale } from '../http/problems';

const COLUMNS = `s.id, s.day::text, s.moment_id, s.cleared_min, s."left", s.came, s.drops,
  s.drop_keys, s.unwatched`;

/** What was seen at a tank and stands, newest first, before a cursor of [seq]. */
export function sightings(
  scope: Scope,
  tankId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(SightingRow & { seq: number })[]> {
  return scope.rows(
    `SELECT s.seq, ${COLUMNS} FROM sightings s
      WHERE s.household_id = :household AND s.tank_id = :tankId AND s.undoes IS NULL
        AND NOT s.unwatched AND NOT EXISTS (SELECT 1 FROM sightings u WHERE u.undoes = s.id)
        ${before === null ? '' : 'AND s.seq < :seq'}
      ORDER BY s.seq DESC LIMIT :limit`,
    { tankId, limit, seq: before?.[0] ?? 0 },
  );
}

/** A sighting by its id, whether or not it was taken back. */
export async function readSighting(
  scope: Scope,
  id: string,
): Promise<(SightingRow & { tankId: string; undone: boolean }) | null> {
  const [row] = await scope.rows<SightingRow & { tankId: string; undone: boolean }>(
    `SELECT ${COLUMNS}, s.tank_id,
            EXISTS (SELECT 1 FROM sightings u WHERE u.undoes = s.id) AS undone
       FROM sightings s WHERE s.household_id = :household AND s.id = :id AND s.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

const NOTHING: LearnedRow = { version: 0, frozen: false, sightings: 0, groups: [] };

/** What was learned of a tank, as it stands now. */
export async function readLearned(scope: Scope, tankId: string): Promise<LearnedRow> {
  const [row] = await scope.rows<LearnedRow>(
    `SELECT version, frozen, sightings, groups FROM learned
      WHERE household_id = :household AND tank_id = :tankId ORDER BY version DESC LIMIT 1`,
    { tankId },
  );
  return row ?? NOTHING;
}

/**
 * Write the next version of what was learned of a tank.
 * @throws ProblemError 409 with both versions where someone saved in between
 */
export async function saveLearned(
  scope: Scope,
  tankId: string,
  edit: BodyOf<'editLearned'>,
): Promise<LearnedRow> {
  await scope.lock(`learned ${tankId}`);
  const current = await readLearned(scope, tankId);
  if (current.version !== edit.version) throw stale('What was learned', edit, current);
  await refuseStrangers(
    scope,
    edit.groups.map((group) => group.groupId),
  );
  const next = { ...edit, version: edit.version + 1 };
  await scope.insert('learned', [{ ...next, tankId }]);
  return next;
}

/** Groups must be of this household. */
export async function refuseStrangers(scope: Scope, ids: readonly string[]): Promise<void> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return;
  const [row] = await scope.rows<{ known: number }>(
    'SELECT count(*) AS known FROM groups WHERE household_id = :household AND id IN (:ids)',
    { ids: wanted },
  );
  if (Number(row?.known ?? 0) < wanted.length) {
    throw refused('groups', 'one of these groups is not known here; reload and try again');
  }
}
