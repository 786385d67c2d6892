import { weighingCreate, type WeighingRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { allFoods } from '../food/store';
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

/** What was weighed in. Known weighings must be the same; new ones are added. */
export const takeWeighings: Take = async ({ scope, today }, lines) => {
  const foods = await allFoods(scope);
  const foodOf = byIdOrName(foods);
  const byId = new Map(foods.map((food) => [food.id, food]));
  const known = new Map(
    foods.flatMap((food) => food.weighings.map((one) => [one.id, one] as const)),
  );
  const made: (WeighingRow & { foodId: string; unit: string })[] = [];
  const seen = new Set<string>();

  const judge = (values: Record<string, unknown>): Verdict => {
    const id = values.id ? String(values.id) : uuidv7();
    if (seen.has(id)) return faulty({ '': 'this weighing is listed twice in the table' });
    seen.add(id);
    const food = byId.get(foodOf(String(values.foodId ?? '')) ?? '');
    if (!food) {
      return faulty({
        foodId: 'no food here has this name, or only this one; take the foods in first',
      });
    }
    const { hand, units, massG } = values;
    const read = weighingCreate.safeParse({ id, day: values.day ?? today, hand, units, massG });
    if (!read.success) return faulty(errorsByField(read.error));
    if (read.data.day > today) return faulty({ day: 'this day has not come yet' });
    const old = known.get(id);
    if (!old) {
      made.push({ ...read.data, foodId: food.id, unit: food.unit.name });
      return verdict('new', 'will be added');
    }
    const other = (['day', 'hand', 'units', 'massG'] as const).find(
      (field) => !sameAs(old[field], read.data[field]),
    );
    return other
      ? faulty({ [other]: 'it was weighed in here with another value; take that one back first' })
      : verdict('same', 'is here as it is');
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    write: () => inPieces(made, (piece) => scope.insert('weighings', piece)),
  };
};
