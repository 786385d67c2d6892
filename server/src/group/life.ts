import type { LifeEventRow } from '@open-larder/contract';
import type { LifeEvent } from '@open-larder/core';
import type { Scope } from '../db';

const COLUMNS = `id, group_id, kind, day::text, males, females, unsexed, cause, length_cm, lengths_cm, mass_g, stage,
  tank_id, other_group_id, pair_id, note`;
const WITHDRAWN =
  'EXISTS (SELECT 1 FROM group_event_withdrawals w WHERE w.event_id = e.id) AS withdrawn';

/** An event as it is stored, with all columns; those of other kinds are null. */
export type EventRow = Omit<LifeEventRow, 'withdrawn'> & { pairId: string | null };

/** The events of groups that still hold, in order of day and then of writing. */
export function eventsThatHold(scope: Scope, which: readonly string[] | null): Promise<EventRow[]> {
  return scope.rows<EventRow>(
    `SELECT ${COLUMNS} FROM group_events e
      WHERE household_id = :household ${which === null ? '' : 'AND group_id IN (:which)'}
        AND NOT EXISTS (SELECT 1 FROM group_event_withdrawals w WHERE w.event_id = e.id)
      ORDER BY day, seq`,
    { which },
  );
}

/** Every event of the household, taken back or not, in order of day and then of writing. */
export function everyEvent(scope: Scope): Promise<Required<LifeEventRow & EventRow>[]> {
  return scope.rows(
    `SELECT ${COLUMNS}, ${WITHDRAWN} FROM group_events e
      WHERE household_id = :household ORDER BY day, seq`,
  );
}

/** One event, whether it still holds or was taken back. */
export async function readEvent(scope: Scope, id: string): Promise<EventRow | null> {
  const [row] = await scope.rows<EventRow>(
    `SELECT ${COLUMNS} FROM group_events WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** Both halves of a split or a merger. */
export function readPair(scope: Scope, pairId: string): Promise<EventRow[]> {
  return scope.rows<EventRow>(
    `SELECT ${COLUMNS} FROM group_events WHERE household_id = :household AND pair_id = :pairId`,
    { pairId },
  );
}

/** What happened to a group, newest first, after a cursor of [day, seq]. */
export function eventsOf(
  scope: Scope,
  groupId: string,
  after: readonly (string | number)[] | null,
  limit: number,
): Promise<(LifeEventRow & { seq: number; pairId: string | null })[]> {
  return scope.rows(
    `SELECT ${COLUMNS}, seq,
            ${WITHDRAWN},
            EXISTS (SELECT 1 FROM photos p WHERE p.household_id = e.household_id AND p.event_id = e.id) AS pictured
       FROM group_events e
      WHERE household_id = :household AND group_id = :groupId
        ${after === null ? '' : 'AND (day, seq) < (:day, :seq)'}
      ORDER BY day DESC, seq DESC LIMIT :limit`,
    { groupId, day: after?.[0] ?? null, seq: after?.[1] ?? null, limit },
  );
}

/** A row as the core's event: the columns of its kind are there, or the database would refuse it. */
export const lifeEventOf = (row: EventRow): LifeEvent => row as unknown as LifeEvent;
