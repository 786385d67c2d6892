import type { BodyOf, LearnedRow, SightingRow } from '@open-larder/contract';
import { eventLog, type Scope } from '../db';
import { invalid, stale } from '../http/problems';
import { z } from 'zod';

export const SIGHTINGS = eventLog<SightingRow & { tankId: string }>({
  table: 'sightings',
  what: 'This sighting',
  columns: `e.id, e.tank_id, e.day::text, e.moment_id, e.cleared_min, e."left", e.came, e.drops,
    e.drop_keys, e.unwatched`,
});

/** What was seen at a tank, newest first, before a cursor of [seq]. */
export const sightings = (
  scope: Scope,
  tankId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(SightingRow & { seq: number })[]> =>
  SIGHTINGS.page(scope, 'seq', {
    before,
    limit,
    where: 'e.tank_id = :tankId AND NOT e.unwatched',
    values: { tankId },
  });

const NOTHING: LearnedRow = { version: 0, frozen: false, sightings: 0, groups: [] };

/** What was learned of a tank, as of now. */
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
  await assertOwned(
    scope,
    edit.groups.map((group) => group.groupId),
  );
  const next = { ...edit, version: edit.version + 1 };
  await scope.insert('learned', [{ ...next, tankId }]);
  return next;
}

/** Groups must be of this household. */
export async function assertOwned(scope: Scope, ids: readonly string[]): Promise<void> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return;
  const [row] = await scope.read(
    z.object({ known: z.number() }),
    'SELECT count(*) AS known FROM groups WHERE household_id = :household AND id IN (:ids)',
    { ids: wanted },
  );
  if (Number(row?.known ?? 0) < wanted.length) {
    throw invalid('groups', 'one of these groups is not known here; reload and try again');
  }
}
