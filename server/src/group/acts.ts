import type { Species } from '@open-larder/catalogue';
import type { BodyOf, GroupEvent } from '@open-larder/contract';
import { lengthDoubt, stateOn } from '@open-larder/core';
import { askLength } from '@open-larder/say';
import { refuseBeforeGroup } from '@open-larder/say/refusal';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { readHousehold } from '../household/store';
import { conflict, notFound, invalid } from '../http/problems';
import { readEvent, readPair, type EventRow } from './life';
import { changeLives, endOn, groupRow, lifeOf, makeRow, newEvent, openTank } from './store';

type SpeciesMap = ReadonlyMap<string, Species>;

/** @throws ProblemError 422 at «confirmed» for a length past what the species grows to, until confirmed */
async function askAboutLength(
  scope: Scope,
  speciesMap: SpeciesMap,
  speciesKey: string,
  { lengthCm, confirmed }: { lengthCm: number | null; confirmed: boolean },
): Promise<void> {
  const species = speciesMap.get(speciesKey);
  if (confirmed || !species || lengthCm === null) return;
  if (lengthDoubt(species, lengthCm) === null) return;
  throw invalid('confirmed', askLength(await readHousehold(scope), species, lengthCm)!);
}

/** What of an event is kept: a confirmation serves its request alone. */
function kept(event: GroupEvent): Omit<GroupEvent, 'confirmed'> {
  const { confirmed: _, ...rest } = event as GroupEvent & { confirmed?: boolean };
  return rest;
}

/** Write a new group with its place and its first events. */
export async function startGroup(
  scope: Scope,
  species: SpeciesMap,
  body: BodyOf<'createGroup'>,
): Promise<void> {
  const { id, name, speciesKey, tankId, day, stage, lengthCm, males, females, unsexed } = body;
  if (!species.has(speciesKey)) {
    throw invalid('speciesKey', 'this species is not known here; choose one from the list');
  }
  await askAboutLength(scope, species, speciesKey, body);
  await openTank(scope, tankId);
  if (!(await makeRow(scope, { id, name, speciesKey }))) return;
  await changeLives(scope, {
    path: 'day',
    add: [
      newEvent(id, day, 'moved', { tankId }),
      newEvent(id, day, 'arrived', { males, females, unsexed }),
      newEvent(id, day, 'staged', { stage }),
      ...(lengthCm === null ? [] : [newEvent(id, day, 'measured', { lengthCm })]),
    ],
  });
}

/** @throws ProblemError 422 for a day before anything is known of the group */
async function notBeforeItCame(scope: Scope, groupId: string, day: string): Promise<void> {
  const [first] = await lifeOf(scope, groupId);
  if (first && day < first.day) {
    throw invalid('day', refuseBeforeGroup(first));
  }
}

/** Write what happened to a group. The same event sent twice is written once. */
export async function addEvent(
  scope: Scope,
  species: SpeciesMap,
  groupId: string,
  event: GroupEvent,
): Promise<void> {
  const row = await groupRow(scope, groupId);
  if (!row) throw notFound('This group');
  if (event.kind === 'measured') await askAboutLength(scope, species, row.speciesKey, event);
  if (event.kind === 'moved') await openTank(scope, event.tankId);
  await notBeforeItCame(scope, groupId, event.day);
  await changeLives(scope, { add: [{ ...kept(event), groupId }], path: 'day' });
}

/**
 * Take an event back, and put another in its place if there is one. The other half of a split or a
 * merger goes with it.
 * @returns the group whose event it was
 */
export async function withdrawEvent(
  scope: Scope,
  species: SpeciesMap,
  eventId: string,
  replacement: GroupEvent | null,
): Promise<string> {
  const event = await readEvent(scope, eventId);
  if (!event) throw notFound('This event');
  const { groupId } = event;
  const held = (await lifeOf(scope, groupId)).some((one) => one.id === eventId);
  if (!held) throw conflict('This event was taken back already. Reload the list.');
  const gone = event.pairId === null ? [event] : await readPair(scope, event.pairId);
  if (replacement !== null) {
    if (gone.length > 1) {
      throw invalid('day', 'undo a split or a merger first, then enter it again');
    }
    if (replacement.kind === 'measured') {
      const row = await groupRow(scope, groupId);
      await askAboutLength(scope, species, row?.speciesKey ?? '', replacement);
    }
    if (replacement.kind === 'moved') await openTank(scope, replacement.tankId);
  }
  await changeLives(scope, {
    withdraw: gone,
    add: replacement === null ? [] : [{ ...kept(replacement), groupId }],
    path: 'day',
  });
  await wakeAndEnd(scope, gone);
  return groupId;
}

/** A merger taken back wakes the group that it ended; a split taken back ends what it made. */
async function wakeAndEnd(scope: Scope, gone: readonly EventRow[]): Promise<void> {
  for (const event of gone.length > 1 ? gone : []) {
    const row = await groupRow(scope, event.groupId);
    if (event.kind === 'parted' && row?.endedOn === event.day) await endOn(scope, row.id, null);
    if (event.kind === 'joined' && row?.endedOn === null) {
      const life = await lifeOf(scope, event.groupId);
      const made = life.some((one) => ['arrived', 'born', 'joined', 'counted'].includes(one.kind));
      if (!made) await endOn(scope, event.groupId, event.day);
    }
  }
}

/** Part of a group becomes a group of its own. */
export async function splitGroup(
  scope: Scope,
  groupId: string,
  { id, name, tankId, day, males, females, unsexed, apart, stage, note }: BodyOf<'splitGroup'>,
): Promise<void> {
  const row = await groupRow(scope, groupId);
  if (!row) throw notFound('This group');
  await openTank(scope, tankId);
  if (!(await makeRow(scope, { id, name, speciesKey: row.speciesKey }))) return;
  const before = stateOn(await lifeOf(scope, groupId), day);
  if (!before) throw invalid('day', 'the group was not here yet on that day');
  const pairId = uuidv7();
  const counts = { males, females, unsexed, pairId, note };
  await changeLives(scope, {
    path: 'unsexed',
    add: [
      newEvent(groupId, day, 'parted', { ...counts, otherGroupId: id }),
      newEvent(id, day, 'moved', { tankId }),
      newEvent(id, day, 'joined', { ...counts, otherGroupId: groupId }),
      newEvent(id, day, 'staged', { stage: stage ?? (apart ? 'quarantine' : before.stage) }),
      ...(before.lengthCm === null
        ? []
        : [newEvent(id, day, 'measured', { lengthCm: before.lengthCm })]),
    ],
  });
}

/** A whole group joins another of its species, and ends that day. */
export async function mergeGroup(
  scope: Scope,
  groupId: string,
  { id, intoGroupId, day, note }: BodyOf<'mergeGroup'>,
): Promise<void> {
  const [row, into] = [await groupRow(scope, groupId), await groupRow(scope, intoGroupId)];
  if (!row) throw notFound('This group');
  if (!into) throw notFound('The group to join');
  if (await readEvent(scope, id)) return;
  if (groupId === intoGroupId) throw invalid('intoGroupId', 'choose another group to join');
  if (row.speciesKey !== into.speciesKey) {
    throw invalid('intoGroupId', 'only groups of one species can become one');
  }
  if (into.endedOn !== null) throw invalid('intoGroupId', 'that group has ended');
  const before = stateOn(await lifeOf(scope, groupId), day);
  if (!before || before.size.total === 0) {
    throw invalid('day', 'there are no fish in this group on that day');
  }
  const { total: _, ...counts } = before.size;
  const half = { ...counts, pairId: id, note };
  await changeLives(scope, {
    path: 'day',
    add: [
      { ...newEvent(groupId, day, 'parted', { ...half, otherGroupId: intoGroupId }), id },
      newEvent(intoGroupId, day, 'joined', { ...half, otherGroupId: groupId }),
    ],
  });
  await endOn(scope, groupId, day);
}

/** Several groups move to one tank, all or none. */
export async function moveGroups(
  scope: Scope,
  { tankId, day, moves }: BodyOf<'moveGroups'>,
): Promise<number> {
  await openTank(scope, tankId);
  for (const { groupId } of moves) {
    if (!(await groupRow(scope, groupId))) throw notFound('One of these groups');
    await notBeforeItCame(scope, groupId, day);
  }
  await changeLives(scope, {
    path: 'day',
    add: moves.map(({ id, groupId }) => ({ id, groupId, day, kind: 'moved' as const, tankId })),
  });
  return moves.length;
}
