import type { Chore, ChoreCreate } from '@open-larder/contract';
import type { Scope } from '../db';
import { idUsed, notFound } from '../http/problems';

const COLUMNS = `c.id, c.kind, c.about, c.day::text, c.hand,
  to_char(c.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;
/** Chores that stand: no undo, and not undone. */
const STANDING = `c.household_id = :household AND c.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM chores u WHERE u.undoes = c.id)`;

/** What was done of a day. */
export const choresOn = (scope: Scope, day: string): Promise<Chore[]> =>
  scope.rows<Chore>(
    `SELECT ${COLUMNS} FROM chores c WHERE ${STANDING} AND c.day = :day ORDER BY c.seq`,
    { day },
  );

async function readChore(scope: Scope, id: string): Promise<(Chore & { undone: boolean }) | null> {
  const [row] = await scope.rows<Chore & { undone: boolean }>(
    `SELECT ${COLUMNS}, EXISTS (SELECT 1 FROM chores u WHERE u.undoes = c.id) AS undone
       FROM chores c WHERE c.household_id = :household AND c.id = :id AND c.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

/**
 * Write that something was done, once: sent again, or by a second phone, it is the first that stands.
 * @throws ProblemError 409 where the id is used for something else
 */
export async function logChore(scope: Scope, done: ChoreCreate): Promise<Chore> {
  await scope.lock(`chore ${done.kind} ${done.about} ${done.day}`);
  const standing = (await choresOn(scope, done.day)).find(
    (one) => one.kind === done.kind && one.about === done.about,
  );
  if (standing) return standing;
  await scope.insertOnce('chores', [{ ...done }]);
  const made = await readChore(scope, done.id);
  if (!made || made.undone || made.about !== done.about) {
    throw idUsed();
  }
  const { undone: _, ...chore } = made;
  return chore;
}

/** Take back that something was done; a second time changes nothing. */
export async function undoChore(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<Chore> {
  await scope.lock(`undo chore ${id}`);
  const known = await readChore(scope, id);
  if (!known) throw notFound('This task');
  const { undone, ...chore } = known;
  if (!undone) await scope.insert('chores', [{ ...chore, id: undo.id, at: undo.at, undoes: id }]);
  return chore;
}
