import type { BodyOf, Group, GroupEvent } from '@open-larder/contract';
import { sizeOn } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { notFound, refused } from '../http/problems';
import { groupsOn, readHistory } from './history';

/** A group as it is on a day. A group that arrives later is shown as on its first day. */
export async function readGroup(scope: Scope, id: string, day: string): Promise<Group | null> {
  const history = await readHistory(scope, [id]);
  const first = history.lives[0]?.stays[0]?.fromDay;
  return groupsOn(history, first !== undefined && first > day ? first : day)[0] ?? null;
}

export async function groupIds(scope: Scope, after: string | null, limit: number) {
  const rows = await scope.rows<{ id: string }>(
    `SELECT id FROM groups WHERE household_id = :household ${after === null ? '' : 'AND id > :after'}
      ORDER BY id LIMIT :limit`,
    { after, limit },
  );
  return rows.map((row) => row.id);
}

/** Write a new group, its stay and its first events. */
export async function startGroup(scope: Scope, body: BodyOf<'createGroup'>): Promise<void> {
  const { id, name, speciesKey, tankId, day, stage, lengthCm, males, females, unsexed } = body;
  await scope.lock(`tank ${tankId}`);
  const [tank] = await scope.rows<{ archived: boolean }>(
    'SELECT archived FROM tanks WHERE household_id = :household AND id = :tankId',
    { tankId },
  );
  if (!tank) throw notFound('The tank for this group');
  if (tank.archived) throw refused('tankId', 'this tank was put away; bring it back first');
  const known = await scope.rows(
    'SELECT 1 FROM groups WHERE household_id = :household AND id = :id',
    {
      id,
    },
  );
  if (known.length > 0) return;
  await scope.insert('groups', [{ id, name, speciesKey, version: 1 }]);
  await scope.insert('stays', [{ id: uuidv7(), groupId: id, tankId, during: [day, null] }]);
  const event = (kind: string, values: object) => ({
    id: uuidv7(),
    groupId: id,
    day,
    kind,
    ...values,
  });
  await scope.insert('group_events', [
    event('arrived', { males, females, unsexed }),
    event('staged', { stage }),
    ...(lengthCm === null ? [] : [event('measured', { lengthCm })]),
  ]);
}

/**
 * Write an event, unless it would leave fewer than no fish on any day.
 * @throws ProblemError 422 where it would
 */
export async function addEvent(scope: Scope, groupId: string, event: GroupEvent): Promise<void> {
  await scope.lock(`group ${groupId}`);
  const { lives } = await readHistory(scope, [groupId]);
  const life = lives[0];
  if (!life) throw notFound('This group');
  const arrival = life.stays[0]?.fromDay ?? event.day;
  if (event.day < arrival) {
    throw refused('day', `this group came on ${arrival}; choose that day or a later one`);
  }
  if (event.kind === 'arrived' || event.kind === 'counted' || event.kind === 'died') {
    const sizes = life.events.flatMap((one) =>
      one.kind === 'measured' || one.kind === 'staged' ? [] : [one],
    );
    const place = sizes.findIndex((one) => one.day > event.day);
    const events = sizes.toSpliced(place === -1 ? sizes.length : place, 0, { groupId, ...event });
    try {
      sizeOn(events, '9999-12-31');
    } catch (error) {
      throw refused('unsexed', (error as RangeError).message);
    }
  }
  await scope.insertOnce('group_events', [{ ...event, groupId }]);
}
