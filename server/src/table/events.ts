import { groupEvent, id as idSchema, phrase } from '@open-larder/contract';
import { lifeError, type LifeEvent, type LifeError } from '@open-larder/core';
import { refuseLength } from '@open-larder/say';
import { formatLifeError } from '@open-larder/say/life';
import { v7 as uuidv7 } from 'uuid';
import { eventsThatHold, everyEvent, lifeEventOf } from '../group/life';
import { changeLives, type NewEvent } from '../group/store';
import {
  byIdOrName,
  errorsByField,
  faulty,
  inPieces,
  sameAs,
  unread,
  verdict,
  type Take,
  type Verdict,
} from './taking';
import { z } from 'zod';

/** The columns that each kind of event must have, beside its day and group. */
const COUNTS = ['males', 'females', 'unsexed'] as const;
const FIELDS = [
  'groupId',
  'day',
  'kind',
  ...COUNTS,
  'cause',
  'lengthCm',
  'lengthsCm',
  'massG',
  'stage',
  'tankId',
  'otherGroupId',
  'pairId',
  'note',
] as const;

/** What happened to groups. Events are never changed: known ones must be the same, new ones are added. */
export const takeEvents: Take = async ({ scope, today, species, units }, lines) => {
  const [known, groups, tanks] = await Promise.all([
    everyEvent(scope),
    scope.read(
      z.object({ id: z.string(), name: z.string(), speciesKey: z.string() }),
      'SELECT id, name, species_key FROM groups WHERE household_id = :household',
    ),
    scope.read(
      z.object({ id: z.string(), name: z.string() }),
      'SELECT id, name FROM tanks WHERE household_id = :household',
    ),
  ]);
  const byId = new Map(known.map((event) => [event.id, event]));
  const groupOf = byIdOrName(groups);
  const tankOf = byIdOrName(tanks);
  const speciesKeyOf = new Map(groups.map((group) => [group.id, group.speciesKey]));
  const made: (NewEvent & { withdrawn: boolean })[] = [];
  const lineOf = new Map<string, number>();
  const withdrawn: { id: string; groupId: string }[] = [];

  const judge = (values: Record<string, unknown>, at: number): Verdict => {
    const id = values.id ? String(values.id) : uuidv7();
    if (!idSchema.safeParse(id).success) return faulty({ id: 'this is not a valid id' });
    if (lineOf.has(id)) return faulty({ '': 'this event is listed twice in the table' });
    lineOf.set(id, at);
    const groupId = values.groupId ? groupOf(String(values.groupId)) : null;
    if (!groupId)
      return faulty({
        groupId: 'no group here has this id, or only this one name; take the groups in first',
      });
    const row = rowOf(
      values,
      id,
      groupId,
      values.tankId ? (tankOf(String(values.tankId)) ?? String(values.tankId)) : null,
    );
    const old = byId.get(id);
    if (old) {
      const other = FIELDS.find((field) => !sameAs(row[field], old[field]));
      if (other) {
        return faulty({
          [other]:
            'this event is here with another value; events are never changed, take it back and enter the right one',
        });
      }
      if (row.withdrawn === old.withdrawn) return verdict('same', 'is here as it is');
      if (!row.withdrawn) return faulty({ withdrawn: 'it was taken back here; enter it anew' });
      withdrawn.push({ id, groupId });
      return verdict('changed', 'will be taken back');
    }
    const errors = errorsOfNew(row, { today, groupIds: speciesKeyOf, tankOf });
    const kind = species.get(speciesKeyOf.get(groupId) ?? '');
    if (!errors && row.kind === 'measured' && kind) {
      const length = refuseLength(units, kind, row.lengthCm as number);
      if (length) return faulty({ lengthCm: length });
    }
    if (errors) return faulty(errors);
    made.push(row);
    return verdict('new', 'will be added');
  };

  const verdicts = lines.map((line, at) => unread(line) ?? judge(line.values, at));
  const lives = await livesAfter();
  for (const life of lives.values()) {
    const error = lifeError(life, null);
    if (!error) continue;
    const at =
      lineOf.get(error.eventId) ??
      lines.findIndex((line) => groupOf(String(line.values.groupId)) === life[0]?.groupId);
    verdicts[Math.max(0, at)] = faulty({
      '': formatLifeError({ ...error, later: false } as LifeError),
    });
  }

  /** What the groups' lives would be with this table taken in. */
  async function livesAfter() {
    const gone = new Set(withdrawn.map((one) => one.id));
    const touched = new Set([...made, ...withdrawn].map((event) => event.groupId));
    const after = new Map<string, (LifeEvent & { groupId: string })[]>(
      [...touched].map((id) => [id, []]),
    );
    if (touched.size > 0) {
      for (const event of await eventsThatHold(scope, [...touched])) {
        if (!gone.has(event.id))
          after.get(event.groupId)?.push({ ...lifeEventOf(event), groupId: event.groupId });
      }
    }
    for (const event of made) {
      if (!event.withdrawn)
        after.get(event.groupId)?.push(event as unknown as LifeEvent & { groupId: string });
    }
    return after;
  }

  return {
    verdicts,
    async write() {
      const dead = made.filter((event) => event.withdrawn).map(stored);
      await inPieces(dead, (piece) => scope.insert('group_events', piece));
      await inPieces(dead, (piece) =>
        scope.insert(
          'group_event_withdrawals',
          piece.map((event) => ({ id: uuidv7(), eventId: event.id })),
        ),
      );
      const living = made.filter((event) => !event.withdrawn).map(stored);
      if (living.length > 0 || withdrawn.length > 0) {
        await changeLives(scope, { add: living, withdraw: withdrawn, path: 'text' });
      }
    },
  };
};

const stored = ({ withdrawn: _, ...event }: NewEvent & { withdrawn: boolean }): NewEvent => event;

function rowOf(
  values: Record<string, unknown>,
  id: string,
  groupId: string,
  tankId: string | null,
) {
  const kind = values.kind as LifeEvent['kind'];
  const counted = !['moved', 'measured', 'staged'].includes(kind);
  return {
    ...Object.fromEntries(FIELDS.map((field) => [field, values[field] ?? null])),
    ...(counted ? Object.fromEntries(COUNTS.map((field) => [field, values[field] ?? 0])) : {}),
    id,
    groupId,
    tankId,
    day: values.day as string,
    kind,
    note: values.note ?? '',
    withdrawn: values.withdrawn === true,
  } as NewEvent & { withdrawn: boolean };
}

interface Around {
  today: string;
  groupIds: ReadonlyMap<string, string>;
  tankOf: (wanted: string) => string | null;
}

/** What is wrong with a new event, by field; null where all is right. */
function errorsOfNew(
  row: NewEvent,
  { today, groupIds, tankOf }: Around,
): Record<string, string> | null {
  if (!row.kind) return { kind: 'say what happened' };
  if (!row.day) return { day: 'say on which day' };
  if (row.day > today) return { day: 'this day has not come yet' };
  if (row.kind === 'moved' && tankOf(String(row.tankId)) === null) {
    return { tankId: 'no tank here has this id, or only this one name; take the tanks in first' };
  }
  if (row.otherGroupId && !groupIds.has(String(row.otherGroupId))) {
    return { otherGroupId: 'no group here has this id; take the groups in first' };
  }
  const note = phrase.safeParse(row.note);
  if (!note.success) return { note: note.error.issues[0]?.message ?? '' };
  // A half of a split is checked as what it does to the number: fish that come, or fish that go.
  const kind = row.kind === 'joined' ? 'arrived' : row.kind === 'parted' ? 'given' : row.kind;
  const { cause, ...rest } = row;
  const read = groupEvent.safeParse({
    ...rest,
    kind,
    ...(kind === 'died' && cause !== null ? { cause } : {}),
  });
  return read.success ? null : errorsByField(read.error);
}
