import { id as idSchema, waterEventCreate, type WaterEventRow } from '@open-larder/contract';
import { READINGS } from '@open-larder/core/water';
import { v7 as uuidv7 } from 'uuid';
import { listEvents } from '../water/store';
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

const FIELDS = ['tankId', 'day', 'kind', 'share', 'sure', 'note', ...READINGS] as const;
/** Noon: of a day that was written down only the day is known. */
const AT = 'T12:00:00.000Z';

/** Tests and changes of water. Events are never changed: known ones must be the same, new ones are added. */
export const takeWater: Take = async ({ scope, today }, lines) => {
  const [known, tanks] = await Promise.all([
    listEvents(scope, null, '1990-01-01'),
    scope.read(
      z.object({ id: z.string(), name: z.string() }),
      'SELECT id, name FROM tanks WHERE household_id = :household',
    ),
  ]);
  const byId = new Map(known.map((event) => [event.id, event]));
  const alike = new Set(known.map(signOf));
  const tankOf = byIdOrName(tanks);
  const made: Record<string, unknown>[] = [];
  const seen = new Set<string>();

  const judge = (values: Record<string, unknown>): Verdict => {
    const id = values.id ? String(values.id) : uuidv7();
    if (!idSchema.safeParse(id).success) return faulty({ id: 'this is not a valid id' });
    if (seen.has(id)) return faulty({ '': 'this line is listed twice in the table' });
    seen.add(id);
    const tankId = values.tankId ? tankOf(String(values.tankId)) : null;
    if (!tankId) {
      return faulty({
        tankId: 'no tank here has this id, or only this one name; take the tanks in first',
      });
    }
    if (!values.day) return faulty({ day: 'say on which day' });
    if (String(values.day) > today) return faulty({ day: 'this day has not come yet' });
    const kind =
      values.kind ?? (values.share === null || values.share === undefined ? 'tested' : 'changed');
    const row = {
      ...blanks,
      ...values,
      id,
      tankId,
      kind,
      at: `${String(values.day)}${AT}`,
      hand: null,
    } as Record<string, unknown>;
    row.note ??= '';
    row.sure = row.sure === true;
    const old = byId.get(id);
    if (old) {
      const other = FIELDS.find((field) => !sameAs(row[field], old[field as keyof WaterEventRow]));
      return other
        ? faulty({
            [other]: 'this is here with another value; take it back and enter the right one',
          })
        : verdict('same', 'is here as it is');
    }
    // A table without ids that is pasted twice says nothing new.
    const sign = signOf(row as unknown as WaterEventRow);
    if (!values.id && alike.has(sign)) return verdict('same', 'is here as it is');
    alike.add(sign);
    const read = waterEventCreate.safeParse(row);
    if (!read.success) return faulty(errorsByField(read.error));
    made.push({ sure: false, ...read.data, tankId });
    return verdict('new', 'will be added');
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    write: () => inPieces(made, (piece) => scope.insert('water_events', piece)),
  };
};

const blanks = Object.fromEntries(['share', ...READINGS].map((field) => [field, null]));

const signOf = (event: WaterEventRow) =>
  ['tankId', 'day', 'kind', 'share', ...READINGS]
    .map((field) => String(event[field as keyof WaterEventRow] ?? ''))
    .join(' ');
