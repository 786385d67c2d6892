import type { Observation, ObservationCreate } from '@open-larder/contract';
import type { Belly } from '@open-larder/core';
import { AT, eventLog, type Scope } from '../db';
import { notFound } from '../http/problems';

export const LOOKS = eventLog<Observation>({
  table: 'looks',
  what: 'This look',
  columns: `e.id, e.group_id, e.day::text, e.belly, e.hung_back, e.absent, e.injured, e.colour,
    e.droppings, e.note, e.hand, ${AT}`,
});

/** Looks at a group, newest first, before a cursor of [seq]. */
export const looks = (
  scope: Scope,
  groupId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(Observation & { seq: number })[]> =>
  LOOKS.page(scope, 'seq', { before, limit, where: 'e.group_id = :groupId', values: { groupId } });

/** Bellies that were seen, by group, the oldest first: what their need follows. */
export const bellies = (
  scope: Scope,
  which: readonly string[] | null,
): Promise<{ groupId: string; day: string; score: Belly }[]> =>
  scope.rows(
    `SELECT e.group_id, e.day::text, e.belly AS score FROM active_looks e
      WHERE e.household_id = :household AND e.belly IS NOT NULL
        ${which === null ? '' : 'AND e.group_id IN (:which)'}
      ORDER BY e.day, e.seq`,
    { which },
  );

/** How the groups of a household looked from a day on. */
export const looksSince = (
  scope: Scope,
  from: string,
): Promise<{ groupId: string; day: string; belly: Belly | null; hungBack: boolean }[]> =>
  scope.rows(
    `SELECT e.group_id, e.day::text, e.belly, e.hung_back FROM active_looks e
      WHERE e.household_id = :household AND e.day >= :from ORDER BY e.day, e.seq`,
    { from },
  );

/** @throws ProblemError 404 where there is no such group, 409 where the id is used already */
export async function addLook(scope: Scope, seen: ObservationCreate): Promise<Observation> {
  const groups = await scope.rows(
    'SELECT id FROM groups WHERE household_id = :household AND id = :groupId',
    { groupId: seen.groupId },
  );
  if (groups.length === 0) throw notFound('This group');
  return LOOKS.append(scope, { ...seen });
}

/** Take a look back; a second time changes nothing. */
export const undoLook = LOOKS.undo;
