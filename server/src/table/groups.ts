import { id as idSchema, name as nameSchema } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { faulty, inPieces, sameAs, unread, verdict, type Take, type Verdict } from './taking';

type Row = {
  id: string;
  name: string;
  speciesKey: string;
  endedOn: string | null;
  version: number;
};

/** The names of groups and what they are of. Their lives are the table of events. */
export const takeGroups: Take = async ({ scope }, lines) => {
  const known = await scope.rows<Row>(
    `SELECT id, name, species_key, ended_on::text, version FROM groups WHERE household_id = :household`,
  );
  const byId = new Map(known.map((row) => [row.id, row]));
  const made: Row[] = [];
  const changed: Row[] = [];
  const seen = new Set<string>();

  const judge = ({ id: written, ...values }: Record<string, unknown>): Verdict => {
    const name = nameSchema.safeParse(values.name ?? '');
    if (!name.success) return faulty({ name: name.error.issues[0]?.message ?? '' });
    if (typeof values.speciesKey !== 'string') return faulty({ speciesKey: 'name its species' });
    const id = written === null || written === undefined ? uuidv7() : String(written);
    if (!idSchema.safeParse(id).success) return faulty({ id: 'this is not a valid id' });
    if (seen.has(id)) return faulty({ '': 'this group is listed twice in the table' });
    seen.add(id);
    const old = byId.get(id);
    const row = {
      id,
      name: name.data,
      speciesKey: values.speciesKey,
      endedOn: (values.endedOn ?? null) as string | null,
      version: old?.version ?? 1,
    };
    if (!old) {
      made.push(row);
      return verdict('new', 'will be made; its events say where it lives');
    }
    if (
      sameAs(row.name, old.name) &&
      sameAs(row.speciesKey, old.speciesKey) &&
      sameAs(row.endedOn, old.endedOn)
    ) {
      return verdict('same', 'is here as it is');
    }
    changed.push(row);
    return verdict('changed', 'will be changed');
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    async write() {
      await inPieces(made, (piece) => scope.insert('groups', piece));
      for (const { id, ...edit } of changed) {
        await scope.revise('groups', 'This group', id, edit, async () => ({ id }));
      }
    },
  };
};
