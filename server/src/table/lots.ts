import { lotCreate, lotEdit, type FoodRow, type LotRow } from '@open-larder/contract';
import { usualPlace } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { allFoods, readLot, shelve } from '../food/store';
import {
  byIdOrName,
  errorsByField,
  faulty,
  sameAs,
  unread,
  verdict,
  type Take,
  type Verdict,
} from './taking';

/** Differences that a scale does not show. */
const NOTHING_G = 1e-5;

/**
 * Lots by id: known ones get other dates, price and place, and are counted where another amount is
 * left; what was bought stays as it was. New ones are put on the shelf of a food that is here.
 */
export const takeLots: Take = async ({ scope, today }, lines) => {
  const foods = await allFoods(scope);
  const foodOf = byIdOrName(foods);
  const foodById = new Map(foods.map((food) => [food.id, food]));
  const lots = new Map(foods.flatMap((food) => food.lots.map((lot) => [lot.id, lot] as const)));
  const made: { foodId: string; lot: Omit<LotRow, 'foodId' | 'version' | 'remainingG'> }[] = [];
  const changed: { id: string; edit: Parameters<typeof lotEdit.parse>[0] & { version: number } }[] =
    [];
  const counted: { lotId: string; deltaG: number }[] = [];
  const seen = new Set<string>();

  const judge = (values: Record<string, unknown>): Verdict => {
    const id = values.id ? String(values.id) : uuidv7();
    if (seen.has(id)) return faulty({ '': 'this lot is listed twice in the table' });
    seen.add(id);
    const foodId = values.foodId ? foodOf(String(values.foodId)) : null;
    const food = foodId ? foodById.get(foodId) : undefined;
    if (!food) {
      return faulty({
        foodId: 'no food here has this name, or only this one; take the foods in first',
      });
    }
    const old = lots.get(id);
    return old ? known(old, food, values) : fresh(id, food, values);
  };

  function known(old: LotRow, food: FoodRow, values: Record<string, unknown>): Verdict {
    if (old.foodId !== food.id) return faulty({ foodId: 'a lot cannot become another food' });
    if (values.amountG != null && Math.abs(Number(values.amountG) - old.amountG) > NOTHING_G) {
      return faulty({ amountG: 'what was bought stays as it was; say what is left instead' });
    }
    const { costMinor, place, boughtOn, openedOn, bestBefore } = old;
    const before = { costMinor, place, boughtOn, openedOn, bestBefore };
    const edit = { ...before, ...saying(values, before), version: old.version };
    const read = lotEdit.safeParse(edit);
    if (!read.success) return faulty(errorsByField(read.error));
    const left = leftOf(values, old.remainingG);
    if (typeof left === 'string') return faulty({ remainingG: left });
    const corrected = Math.abs(left - old.remainingG) > NOTHING_G;
    if (corrected) counted.push({ lotId: old.id, deltaG: left - old.remainingG });
    const same = Object.entries(before).every(([field, value]) =>
      sameAs(value, edit[field as keyof typeof before]),
    );
    if (!same) changed.push({ id: old.id, edit });
    if (same && !corrected) return verdict('same', 'is here as it is');
    return verdict('changed', corrected ? 'will be counted' : 'will be changed');
  }

  function fresh(id: string, food: FoodRow, values: Record<string, unknown>): Verdict {
    const blank = {
      costMinor: null,
      place: food.lots.at(-1)?.place ?? usualPlace(food.kind),
      boughtOn: today,
      openedOn: null,
      bestBefore: null,
    };
    const lot = { id, amountG: values.amountG, ...blank, ...saying(values, blank) };
    const read = lotCreate.safeParse(lot);
    if (!read.success) return faulty(errorsByField(read.error));
    if (read.data.boughtOn > today) return faulty({ boughtOn: NOT_YET });
    if ((read.data.openedOn ?? '') > today) return faulty({ openedOn: NOT_YET });
    const left = leftOf(values, read.data.amountG);
    if (typeof left === 'string') return faulty({ remainingG: left });
    made.push({ foodId: food.id, lot: read.data });
    if (Math.abs(left - read.data.amountG) > NOTHING_G) {
      counted.push({ lotId: id, deltaG: left - read.data.amountG });
    }
    return verdict('new', `will be put on the shelf of ${food.name}`);
  }

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    async write() {
      for (const { foodId, lot } of made) await shelve(scope, foodId, lot);
      for (const { id, edit } of changed) {
        await scope.revise('lots', 'This lot', id, edit, () => readLot(scope, id));
      }
      await scope.insert(
        'stock_events',
        counted.map((one) => ({ ...one, id: uuidv7(), kind: 'counted', day: today })),
      );
    },
  };
};

const NOT_YET = 'this day has not come yet';

/** What a line says of the fields of a lot; blank empties what may be empty. */
function saying<T extends object>(values: Record<string, unknown>, before: T): Partial<T> {
  return Object.fromEntries(
    Object.keys(before).flatMap((field) => {
      const value = values[field];
      if (value === undefined) return [];
      const mayBeEmpty = field === 'costMinor' || field === 'openedOn' || field === 'bestBefore';
      return value === null && !mayBeEmpty ? [] : [[field, value]];
    }),
  ) as Partial<T>;
}

/** What is left, or why that cannot be. */
function leftOf(values: Record<string, unknown>, otherwise: number): number | string {
  if (values.remainingG == null) return otherwise;
  const left = Number(values.remainingG);
  return left < 0 || left > 100_000 ? 'what is left must lie between 0 and 100000 g' : left;
}
