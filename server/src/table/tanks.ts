import { blankTank, tankCreate, tankEdit, type Tank } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { readTank, tanks } from '../tank/store';
import {
  errorsByField,
  faulty,
  inPieces,
  sameAs,
  unread,
  verdict,
  type Take,
  type Verdict,
} from './taking';

type Row = Omit<Tank, 'id' | 'version' | 'archived' | 'plan' | 'lastTemp'> & { archived: boolean };

/** Tanks by id, or by name where a line has no id: new ones are made, known ones changed. */
export const takeTanks: Take = async ({ scope }, lines) => {
  const known = await tanks(scope, null, null);
  const byId = new Map(known.map((tank) => [tank.id, tank]));
  const byName = new Map(known.map((tank) => [tank.name.toLowerCase(), tank]));
  const made: (Row & { id: string; version: number })[] = [];
  const changed: { id: string; edit: Row & { version: number } }[] = [];
  const seen = new Set<string>();
  let walkOrder = Math.max(0, ...known.map((tank) => tank.walkOrder));

  const judge = (values: Record<string, unknown>): Verdict => {
    const { id: written, ...cells } = values;
    const given = Object.fromEntries(
      Object.entries(cells).filter(([, value]) => value !== undefined),
    );
    const old =
      byId.get(String(written)) ??
      (written ? undefined : byName.get(String(values.name).toLowerCase()));
    if (old) {
      if (seen.has(old.id)) return faulty({ '': 'this tank is listed twice in the table' });
      seen.add(old.id);
      const { id: _, plan: _plan, ...before } = old;
      const edit = { ...before, ...keepSure(given, before) } as Row & { version: number };
      const read = tankEdit.safeParse(edit);
      if (!read.success) return faulty(errorsByField(read.error));
      if (
        Object.entries(edit).every(([field, value]) =>
          sameAs(value, before[field as keyof typeof before]),
        )
      ) {
        return verdict('same', 'is here as it is');
      }
      changed.push({ id: old.id, edit });
      return verdict('changed', 'will be changed');
    }
    const id = written === null || written === undefined ? uuidv7() : String(written);
    if (seen.has(id)) return faulty({ '': 'this tank is listed twice in the table' });
    seen.add(id);
    const { archived = false, ...sure } = keepSure(given, blankTank) as Partial<Row>;
    walkOrder += 1;
    const fields = { ...blankTank, name: '', walkOrder, ...sure, id };
    const read = tankCreate.safeParse(fields);
    if (!read.success) return faulty(errorsByField(read.error));
    made.push({ ...read.data, archived: archived ?? false, version: 1 });
    return verdict('new', 'will be made');
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    async write() {
      await inPieces(made, (piece) => scope.insert('tanks', piece));
      for (const { id, edit } of changed) {
        await scope.revise('tanks', 'This tank', id, edit, () => readTank(scope, id));
      }
    },
  };
};

/** A blank cell empties a field that may be empty, and leaves all others as they were. */
function keepSure(given: Record<string, unknown>, before: object): Record<string, unknown> {
  const mayBeEmpty = new Set(
    Object.keys(blankTank).filter((field) => blankTank[field as keyof typeof blankTank] === null),
  );
  return Object.fromEntries(
    Object.entries(given).filter(
      ([field, value]) => value !== null || (mayBeEmpty.has(field) && field in before),
    ),
  );
}
