import type { Chore, ChoreCreate } from '@open-larder/contract';
import { AT, eventLog, type Scope } from '../db';

const CHORES = eventLog<Chore>({
  table: 'chores',
  what: 'This task',
  columns: `e.id, e.kind, e.about, e.day::text, e.hand, ${AT}`,
});

/** What was done of a day. */
export const choresOn = (scope: Scope, day: string): Promise<Chore[]> =>
  CHORES.list(scope, 'e.day = :day ORDER BY e.seq', { day });

/**
 * Write that something was done, once: sent again, or by a second phone, it is the first that counts.
 * @throws ProblemError 409 where the id is used for something else
 */
export async function logChore(scope: Scope, done: ChoreCreate): Promise<Chore> {
  await scope.lock(`chore ${done.kind} ${done.about} ${done.day}`);
  const already = (await choresOn(scope, done.day)).find(
    (one) => one.kind === done.kind && one.about === done.about,
  );
  if (already) return already;
  return CHORES.append(scope, { ...done }, (kept) => !kept.undone && kept.about === done.about);
}

/** Take back that something was done; a second time changes nothing. */
export const undoChore = CHORES.undo;
