import { loadCatalogue } from '@open-larder/catalogue/load';
import { v7 as uuidv7 } from 'uuid';
import { blankFood, fieldsOfGeneric, foodCreate, foodEdit } from '.';

const { foods } = loadCatalogue();

describe('a food of one’s own from any generic one', () => {
  it.each(foods.map((food) => [food.key, food] as const))(
    '%s is accepted as it is',
    (_key, food) => {
      const fields = fieldsOfGeneric(food);
      const made = foodCreate.safeParse({ ...fields, id: uuidv7(), lot: null });
      expect(made.error?.issues).toBeUndefined();
      // And nothing of it is lost on the way.
      expect(made.data).toMatchObject(fields);
      expect(fields.copiedFrom).toBe(food.key);
    },
  );

  it('differs from it wherever the keeper says so', () => {
    const fields = fieldsOfGeneric(foods[0]!);
    const own = { ...fields, name: 'Mine', keeps: { ...fields.keeps, openedDays: null } };
    const read = foodEdit.safeParse({ ...own, version: 3, archived: false });
    expect(read.data).toMatchObject({ name: 'Mine', keeps: { openedDays: null }, version: 3 });
  });
});

describe('a blank food', () => {
  it('is refused until its figures are there, each beside its field', () => {
    const read = foodCreate.safeParse({ ...blankFood, id: uuidv7(), lot: null });
    const paths = read.error?.issues.map((issue) => issue.path.join('.')) ?? [];
    expect(paths).toEqual(expect.arrayContaining(['name', 'composition', 'plantShare']));
    expect(paths).toContain('unit.massG');
    // What it may lack is no fault.
    expect(paths.filter((path) => /inWater|keeps|steps|cautions|liftAfter/.test(path))).toEqual([]);
  });
});
