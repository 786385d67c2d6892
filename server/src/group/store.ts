import type { Group } from '@open-larder/contract';
import { lifeError, staysOf, type LifeEvent } from '@open-larder/core';
import { formatLifeError } from '@open-larder/say/life';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { idUsed, notFound, invalid } from '../http/problems';
import { groupsOn, readHistory } from './history';
import { eventsThatHold, lifeEventOf } from './life';
import { z } from 'zod';

/** A group as it is on a day. A group that arrives later is shown as on its first day. */
export async function readGroup(scope: Scope, id: string, day: string): Promise<Group | null> {
  const history = await readHistory(scope, [id]);
  const first = history.lives[0]?.events.find((event) => event.kind === 'moved')?.day;
  return groupsOn(history, first !== undefined && first > day ? first : day)[0] ?? null;
}

export async function groupIds(scope: Scope, after: string | null, limit: number) {
  const rows = await scope.read(
    z.object({ id: z.string() }),
    `SELECT id FROM groups WHERE household_id = :household ${after === null ? '' : 'AND id > :after'}
      ORDER BY id LIMIT :limit`,
    { after, limit },
  );
  return rows.map((row) => row.id);
}

/** The identity of a group: what its events do not say. */
export async function groupRow(scope: Scope, id: string) {
  const [row] = await scope.read(
    z.object({
      id: z.string(),
      name: z.string(),
      speciesKey: z.string(),
      endedOn: z.string().nullable(),
      version: z.number(),
    }),
    `SELECT id, name, species_key, ended_on::text, version FROM groups
      WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** @throws ProblemError 404 or 422 where fish cannot be put in this tank */
export async function openTank(scope: Scope, tankId: string): Promise<void> {
  await scope.lock(`tank ${tankId}`);
  const [tank] = await scope.read(
    z.object({ archived: z.boolean() }),
    'SELECT archived FROM tanks WHERE household_id = :household AND id = :tankId',
    { tankId },
  );
  if (!tank) throw notFound('The tank for this group');
  if (tank.archived) throw invalid('tankId', 'this tank was put away; bring it back first');
}

/** Values of an event beside its id, group, day and kind. */
export type EventValues = Record<string, unknown>;
export interface NewEvent extends EventValues {
  id: string;
  groupId: string;
  day: string;
  kind: LifeEvent['kind'];
}

export const newEvent = (
  groupId: string,
  day: string,
  kind: LifeEvent['kind'],
  values: EventValues,
): NewEvent => ({ id: uuidv7(), groupId, day, kind, ...values });

/** The events of one group that still hold. */
export const lifeOf = async (scope: Scope, groupId: string): Promise<LifeEvent[]> =>
  (await eventsThatHold(scope, [groupId])).map(lifeEventOf);

/**
 * Change what happened to groups: take events back, and write others. All or nothing.
 * @param path the field that a refusal is shown at
 * @throws ProblemError 422 where a group would hold fewer than no fish, or be nowhere
 */
export async function changeLives(
  scope: Scope,
  {
    add,
    withdraw = [],
    path,
  }: {
    add: readonly NewEvent[];
    withdraw?: readonly { id: string; groupId: string }[];
    path: string;
  },
): Promise<void> {
  const groups = [...new Set([...add, ...withdraw].map((event) => event.groupId))].sort();
  for (const groupId of groups) await scope.lock(`group ${groupId}`);
  const gone = new Set(withdraw.map((event) => event.id));
  const lives = new Map<string, LifeEvent[]>(groups.map((id) => [id, []]));
  for (const event of await eventsThatHold(scope, groups)) {
    if (!gone.has(event.id)) lives.get(event.groupId)?.push(lifeEventOf(event));
  }
  for (const event of add) {
    const life = lives.get(event.groupId) as LifeEvent[];
    if (life.some((one) => one.id === event.id)) continue;
    life.push(event as unknown as LifeEvent);
  }
  for (const [groupId, life] of lives) {
    const changed = add.find((event) => event.groupId === groupId)?.id ?? null;
    const error = lifeError(life, changed);
    if (error) throw invalid(path, formatLifeError(error));
    if (!life.some((event) => event.kind === 'moved')) {
      throw invalid(path, 'The group would be in no tank. Put another move in its place.');
    }
  }
  await scope.insertOnce(
    'group_events',
    add.map((event) => ({ note: '', ...event })),
  );
  await scope.insert(
    'group_event_withdrawals',
    withdraw.map((event) => ({ id: uuidv7(), eventId: event.id })),
  );
  await keepStays(scope, lives);
}

/** Stays are what the database itself guards: no group is in two places at once. */
async function keepStays(scope: Scope, lives: ReadonlyMap<string, LifeEvent[]>): Promise<void> {
  await scope.rows(
    'DELETE FROM stays WHERE household_id = :household AND group_id IN (:groups) RETURNING id',
    { groups: [...lives.keys()] },
  );
  const stays = [...lives].flatMap(([groupId, life]) =>
    staysOf(life).map(({ tankId, fromDay, toDay }) => ({
      id: uuidv7(),
      groupId,
      tankId,
      during: [fromDay, toDay],
    })),
  );
  await scope.insert('stays', stays);
}

/** End a group on a day, or let it go on; its past stays as it is. */
export async function endOn(scope: Scope, groupId: string, day: string | null): Promise<void> {
  await scope.rows(
    `UPDATE groups SET ended_on = :day, version = version + 1
      WHERE household_id = :household AND id = :groupId RETURNING id`,
    { groupId, day },
  );
}

/** Write the row of a group. False where it was written before; 409 where the id is another's. */
export async function makeRow(
  scope: Scope,
  row: { id: string; name: string; speciesKey: string },
): Promise<boolean> {
  if (await groupRow(scope, row.id)) return false;
  try {
    await scope.insert('groups', [{ ...row, version: 1 }]);
  } catch (error) {
    if ((error as { name?: string }).name !== 'SequelizeUniqueConstraintError') throw error;
    throw idUsed();
  }
  return true;
}
