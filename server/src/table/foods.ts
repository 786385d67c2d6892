import { isDeepStrictEqual } from 'node:util';
import { blankFood, foodCreate, foodEdit, type FoodRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { allFoods, foodColumns, foodFields, readFood, type FlatFood } from '../food/store';
import { faulty, inPieces, unread, verdict, type Take, type Verdict } from './taking';

type Columns = Omit<FlatFood, 'id' | 'version'>;

/** What a new food is where a line does not say: nothing that looks like a fact. */
const BLANK = {
  ...foodColumns({
    ...blankFood,
    kind: 'dry',
    family: 'grain',
    form: 'floats',
    composition: { protein: NaN, fat: NaN, fibre: NaN, ash: NaN, moisture: NaN },
    plantShare: NaN,
    unit: { ...blankFood.unit, massG: NaN },
  }),
  archived: false,
};
/** Columns in which a blank cell empties, and does not leave alone. */
const MAY_BE_EMPTY = new Set(
  Object.entries(BLANK)
    .filter(([, value]) => value === null || Array.isArray(value))
    .map(([field]) => field),
);

/** Foods by id, or by name where a line has no id: new ones are made, known ones changed. */
export const takeFoods: Take = async ({ scope }, lines) => {
  const known = await allFoods(scope);
  const byId = new Map(known.map((food) => [food.id, food]));
  const byName = new Map(known.map((food) => [food.name.toLowerCase(), food]));
  const made: (Columns & { id: string; version: number })[] = [];
  const changed: { id: string; edit: Columns & { version: number } }[] = [];
  const seen = new Set<string>();

  const judge = ({ id: written, ...cells }: Record<string, unknown>): Verdict => {
    const old =
      byId.get(String(written)) ??
      (written ? undefined : byName.get(String(cells.name).toLowerCase()));
    const id = old?.id ?? (written ? String(written) : uuidv7());
    if (seen.has(id)) return faulty({ '': 'this food is listed twice in the table' });
    seen.add(id);
    const before: Columns = old ? columnsOf(old) : BLANK;
    const columns = { ...before, ...given(cells) } as Columns;
    const { archived, ...rest } = columns;
    const fields = foodFields(rest);
    const read = old
      ? foodEdit.safeParse({ ...fields, version: old.version, archived })
      : foodCreate.safeParse({ ...fields, id, lot: null });
    if (!read.success) return faulty(errorsByColumn(read.error));
    // As validation left it: names trimmed, and nothing that a row does not hold.
    const sound = { ...foodColumns(read.data), archived };
    if (!old) {
      made.push({ ...sound, id, version: 1 });
      return verdict('new', 'will be put on the shelf, empty');
    }
    if (alike(sound, before)) return verdict('same', 'is here as it is');
    changed.push({ id, edit: { ...sound, version: old.version } });
    return verdict('changed', 'will be changed');
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    async write() {
      await inPieces(made, (piece) => scope.insert('foods', piece));
      for (const { id, edit } of changed) {
        await scope.revise('foods', 'This food', id, edit, () => readFood(scope, id));
      }
    },
  };
};

const columnsOf = (food: FoodRow): Columns => ({ ...foodColumns(food), archived: food.archived });

/** A file holds a number to nine places: what differs by less is the same. */
const NO_DIFFERENCE = 1e-8;

function alike(a: Columns, b: Columns): boolean {
  return (Object.keys(a) as (keyof Columns)[]).every((field) => {
    const [one, other] = [a[field], b[field]];
    return typeof one === 'number' && typeof other === 'number'
      ? Math.abs(one - other) < NO_DIFFERENCE
      : isDeepStrictEqual(one, other);
  });
}

/** What a line says; a blank cell says «nothing» only where there may be nothing. */
function given(cells: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(cells).flatMap(([field, value]): [string, unknown][] => {
      if (value !== null) return [[field, value]];
      if (!MAY_BE_EMPTY.has(field)) return [];
      return [[field, Array.isArray(BLANK[field as keyof typeof BLANK]) ? [] : null]];
    }),
  );
}

/** Faults of nested fields under the columns that they come from. */
function errorsByColumn(error: z.ZodError): Record<string, string> {
  const errors: Record<string, string> = {};
  for (const { path, message } of error.issues) {
    const [field, inner] = path.map(String);
    const column =
      inner === undefined || field === 'composition' || field === 'inWater' || field === 'steps'
        ? field === 'steps'
          ? 'steps'
          : (inner ?? field ?? '')
        : `${field}${inner.slice(0, 1).toUpperCase()}${inner.slice(1)}`;
    errors[column] ??= message;
  }
  return errors;
}
