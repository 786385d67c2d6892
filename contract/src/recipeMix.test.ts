import { loadCatalogue } from '@open-larder/catalogue/load';
import { v7 as uuidv7 } from 'uuid';
import {
  fieldsOfGeneric,
  foodCreate,
  mixOf,
  partsOf,
  productChanges,
  productOf,
  recipeCreate,
  type FoodRow,
  type RecipeFields,
} from '.';

const { foods: generic } = loadCatalogue();
const row = (key: string): FoodRow => ({
  ...fieldsOfGeneric(generic.find((food) => food.key === key)!),
  id: uuidv7(),
  version: 1,
  archived: false,
  lots: [],
  weighings: [],
  remainingG: 0,
});
const meal = row('insect-meal-base');
const spinach = row('spinach-leaf');
const agar = row('agar');
const foods = new Map([meal, spinach, agar].map((food) => [food.id, food]));
const recipe = (over: Partial<RecipeFields> = {}): RecipeFields => ({
  name: 'Green bites',
  kind: 'gel',
  place: 'freezer',
  keepsDays: 60,
  ingredients: [
    { foodId: meal.id, share: 0.1, binder: false },
    { foodId: spinach.id, share: 0.5, binder: false },
    { foodId: agar.id, share: 0.02, binder: true },
    { foodId: null, share: 0.38, binder: false },
  ],
  cooked: 0.05,
  drained: 0,
  tray: { lengthCm: 20, widthCm: 10, depthCm: 0.5, columns: 20, rows: 5 },
  targets: { protein: null, fat: null, plant: null, moisture: null },
  method: '',
  ...over,
});

describe('what a recipe makes', () => {
  it('is worked out from the foods, with water where no food is named', () => {
    const { composition, massG } = mixOf(recipe(), foods);
    expect(massG).toBeCloseTo(0.95, 9);
    const protein =
      (0.1 * meal.composition.protein +
        0.5 * spinach.composition.protein +
        0.02 * agar.composition.protein) /
      0.95;
    expect(composition.protein).toBeCloseTo(protein, 9);
  });

  it('counts a food that nobody knows any more as water, and not as nothing', () => {
    const parts = partsOf([{ foodId: uuidv7(), share: 1, binder: false }], foods);
    expect(parts[0]).toMatchObject({ massG: 1, composition: { moisture: 1 }, plantShare: 0 });
  });

  it('comes to the shelf as a food that is accepted, and keeps the cautions of what is in it', () => {
    const product = productOf(recipe(), foods);
    expect(foodCreate.safeParse({ ...product, id: uuidv7(), lot: null }).error).toBeUndefined();
    expect(product).toMatchObject({
      kind: 'gel',
      family: 'jelly',
      keeps: { sealedDays: 60 },
      steps: [{ kind: 'thaw' }],
      unit: { name: 'piece', plural: 'pieces' },
      // 10 × 20 × 5 mm.
      inWater: { particleMinMm: 5, particleMaxMm: 20 },
    });
    expect(product.unit.massG).toBeCloseTo(1.03, 9);
    expect(product.cautions.people).toContain('insect meal can cause allergy');
  });

  it('needs no thawing from the fridge, and is a mortar where it does not set', () => {
    expect(productOf(recipe({ place: 'fridge', kind: 'mix' }), foods)).toMatchObject({
      steps: [],
      family: 'mortar',
    });
  });

  it('leaves of its food what is the keeper’s to say', () => {
    const own = {
      unit: { name: 'crumb', plural: 'crumbs', massG: 9, step: 1 },
      keeps: { sealedDays: 1, openedDays: 3, preparedHours: 2 },
      inWater: { floatMinutes: 0, sinkCmPerS: 4, particleMinMm: null, particleMaxMm: null },
    };
    const changes = productChanges(recipe(), own, foods);
    expect(changes.unit).toMatchObject({ name: 'crumb', plural: 'crumbs', step: 1 });
    expect(changes.unit.massG).toBeCloseTo(1.03, 9);
    expect(changes.keeps).toEqual({ sealedDays: 60, openedDays: 3, preparedHours: 2 });
    expect(changes.inWater.sinkCmPerS).toBe(4);
  });
});

describe('a recipe that is sent', () => {
  const sent = (over: object = {}) =>
    recipeCreate.safeParse({ ...recipe(), id: uuidv7(), foodId: uuidv7(), ...over });
  const errors = (over: object) =>
    sent(over).error?.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`) ?? [];

  it('is accepted as it is written', () => {
    expect(sent().error).toBeUndefined();
  });

  it.each([
    [{ name: ' ' }, 'name: give it a name'],
    [{ keepsDays: 0 }, 'keepsDays: days that it keeps must lie between 1 and 3650'],
    [{ keepsDays: 1.5 }, 'keepsDays: count whole days'],
    [{ cooked: 0.95 }, 'cooked: what is lost in cooking must lie between 0 and 0.9'],
    [{ method: 'x'.repeat(2001) }, 'method: keep it under 2000 letters'],
    [
      { tray: { ...recipe().tray, columns: 2.5 } },
      'tray.columns: pieces along the tray must be a whole number',
    ],
    [
      { targets: { ...recipe().targets, fat: [0.2, 0.1] } },
      'targets.fat: the least is more than the greatest',
    ],
    [
      { ingredients: [{ foodId: '', share: 1, binder: false }] },
      'ingredients.0.foodId: choose a food, or water',
    ],
  ])('%j says what is wrong', (over, error) => {
    expect(errors(over)).toContain(error);
  });

  it('may be a gram of a thousand off, as percentages are when they are rounded', () => {
    const [first, ...rest] = recipe().ingredients;
    expect(errors({ ingredients: [{ ...first, share: 0.1009 }, ...rest] })).toEqual([]);
    expect(errors({ ingredients: [{ ...first, share: 0.102 }, ...rest] })).toEqual([
      'ingredients: the shares add up to 100.2 %; they must make 100 %',
    ]);
  });
});
