import { v7 as uuidv7 } from 'uuid';
import {
  sampleFeeding,
  sampleFood,
  sampleGroup,
  sampleLot,
  sampleMoment,
  sampleRecipe,
  sampleServing,
  sampleTank,
} from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import { pagesIn } from '../testing/pdf';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const DAY = '2026-03-10';
const batchOf = (over: object = {}) => ({
  id: uuidv7(),
  lotId: uuidv7(),
  day: DAY,
  massG: 8,
  ...over,
});

/** A shelf with flake, and a gel that is made of it. */
async function kitchen(over: object = {}) {
  const ask = server.as('ours');
  const flake = sampleFood();
  await ask.post('/api/foods').send(flake).expect(201);
  const recipe = sampleRecipe(flake.id, over);
  await ask.post('/api/recipes').send(recipe).expect(201);
  const foodOf = async (id: string) => {
    const { body } = await ask.get('/api/foods').expect(200);
    return body.items.find((one: { id: string }) => one.id === id);
  };
  const make = (batch: object) => ask.post(`/api/recipes/${recipe.id}/batches`).send(batch);
  return { ask, flake, recipe, foodOf, make };
}

describe('a recipe', () => {
  it('comes with the food that it makes, worked out from what goes in', async () => {
    const { recipe, foodOf } = await kitchen();
    const gel = await foodOf(recipe.foodId);
    expect(gel).toMatchObject({
      name: 'Evening gel',
      kind: 'gel',
      family: 'jelly',
      lots: [],
      unit: { name: 'piece', plural: 'pieces', step: 0.5 },
    });
    // Half flake, half water: half of everything that the flake has.
    expect(gel.composition.protein).toBeCloseTo(0.23, 9);
    expect(gel.composition.moisture).toBeCloseTo(0.535, 9);
    // 10 × 10 × 1 cm at 1.03 g, in a hundred pieces.
    expect(gel.unit.massG).toBeCloseTo(1.03, 9);
    expect(gel.inWater).toMatchObject({ particleMinMm: 10, particleMaxMm: 10 });
  });

  it('sent twice is written once, and comes back as it was sent', async () => {
    const { ask, recipe } = await kitchen();
    const before = await count(server.db, 'recipes');
    const { body } = await ask.post('/api/recipes').send(recipe).expect(201);
    expect(body).toEqual({ ...recipe, version: 1, archived: false, batches: [] });
    expect(await count(server.db, 'recipes')).toBe(before);
    const list = await ask.get('/api/recipes').expect(200);
    expect(list.body.items).toContainEqual(body);
  });

  it('that changes takes its food along, and leaves what the keeper said of it', async () => {
    const { ask, recipe, flake, foodOf } = await kitchen();
    const { id, lots: _, remainingG: __, weighings: ___, ...gel } = await foodOf(recipe.foodId);
    await ask
      .put(`/api/foods/${id}`)
      .send({ ...gel, liftAfterMin: 33 })
      .expect(200);
    const { id: recipeId, foodId, ...fields } = recipe;
    const edit = {
      ...fields,
      ingredients: [
        { foodId: flake.id, share: 0.2, binder: false },
        { foodId: null, share: 0.8, binder: false },
      ],
      version: 1,
      archived: false,
    };
    const { body } = await ask.put(`/api/recipes/${recipeId}`).send(edit).expect(200);
    expect(body).toMatchObject({ version: 2, ingredients: edit.ingredients });
    const after = await foodOf(foodId);
    expect(after.composition.protein).toBeCloseTo(0.092, 9);
    expect(after.liftAfterMin).toBe(33);
    // Someone who still has the first version before them is told.
    const other = { ...edit, name: 'Another gel' };
    const { body: stale } = await ask.put(`/api/recipes/${recipeId}`).send(other).expect(409);
    expect(stale.theirs).toMatchObject({ version: 2 });
    expect(stale.theirs.ingredients).toHaveLength(2);
  });

  it.each([
    [{ ingredients: [{ foodId: null, share: 0.5, binder: false }] }, /add up to 50.0 %/],
    [{ ingredients: [] }, /needs an ingredient/],
    [
      {
        ingredients: [
          { foodId: null, share: 0.5, binder: false },
          { foodId: null, share: 0.5, binder: false },
        ],
      },
      /is listed twice/,
    ],
    [{ cooked: 0.6, drained: 0.5 }, /leave nothing/],
    [{ cooked: 0.8 }, /cannot lose more water than it has/],
    [{ targets: { protein: [0.5, 0.4], fat: null, plant: null, moisture: null } }, /more than/],
    [{ tray: { lengthCm: 0, widthCm: 10, depthCm: 1, columns: 1, rows: 1 } }, /length of the tray/],
  ])('refuses %j and writes nothing', async (over, sentence) => {
    const ask = server.as('ours');
    const flake = sampleFood();
    await ask.post('/api/foods').send(flake).expect(201);
    const before = [await count(server.db, 'recipes'), await count(server.db, 'foods')];
    const { body } = await ask.post('/api/recipes').send(sampleRecipe(flake.id, over)).expect(422);
    expect(body.detail).toMatch(sentence);
    expect([await count(server.db, 'recipes'), await count(server.db, 'foods')]).toEqual(before);
  });

  it('of which one piece is a whole tray is refused; one that was stored so is read all the same', async () => {
    const { ask, recipe, foodOf } = await kitchen();
    const tray = { lengthCm: 40, widthCm: 30, depthCm: 2, columns: 1, rows: 1 };
    const { id, foodId, ...fields } = recipe;
    const whole = { ...fields, tray, version: 1, archived: false };
    const { body } = await ask.put(`/api/recipes/${id}`).send(whole).expect(422);
    expect(body.errors).toEqual([
      { path: 'tray.columns', message: expect.stringMatching(/2[.,]?4\d* ?k?g.*more pieces/) },
    ]);
    await server.db.query(`UPDATE foods SET unit_mass_g = 2472 WHERE id = '${foodId}'`);
    await server.db.query(
      `UPDATE lots SET best_before = '2135-01-01' WHERE food_id <> '${foodId}'`,
    );
    expect((await foodOf(foodId)).unit.massG).toBe(2472);
    for (const path of ['/api/larder/supply', `/api/round/${DAY}`, '/api/recipes', '/api/waters']) {
      await ask.get(path).expect(200);
    }
  });

  it('cannot contain itself, straight or by way of another', async () => {
    const { ask, recipe } = await kitchen();
    const second = sampleRecipe(recipe.foodId, { name: 'Second gel' });
    await ask.post('/api/recipes').send(second).expect(201);
    const { id, foodId, ...fields } = recipe;
    const withFood = (food: string) => ({
      ...fields,
      version: 1,
      archived: false,
      ingredients: [
        { foodId: null, share: 0.5, binder: false },
        { foodId: food, share: 0.5, binder: false },
      ],
    });
    const itself = await ask.put(`/api/recipes/${id}`).send(withFood(foodId)).expect(422);
    expect(itself.body.errors).toEqual([
      { path: 'ingredients.1.foodId', message: expect.stringMatching(/contain itself; choose/) },
    ]);
    const round = await ask.put(`/api/recipes/${id}`).send(withFood(second.foodId)).expect(422);
    expect(round.body.detail).toMatch(/contain itself by way of Second gel/);
  });
});

describe('a batch', () => {
  it('takes its ingredients from the shelf and puts its portions on it', async () => {
    const { ask, flake, recipe, foodOf, make } = await kitchen();
    const batch = batchOf();
    const { body } = await make(batch).expect(201);
    expect(body.short).toEqual([]);
    expect(body.recipe.batches).toEqual([{ id: batch.id, lotId: batch.lotId, day: DAY, massG: 8 }]);
    // Four grams of flake of ten, which cost 50 cents a gram.
    expect((await foodOf(flake.id)).remainingG).toBeCloseTo(6, 6);
    expect((await foodOf(recipe.foodId)).lots).toMatchObject([
      {
        id: batch.lotId,
        remainingG: 8,
        costMinor: 200,
        place: 'freezer',
        boughtOn: DAY,
        openedOn: DAY,
        bestBefore: '2026-05-09',
      },
    ]);
    // Sent again it changes nothing.
    await make(batch).expect(201);
    expect((await foodOf(flake.id)).remainingG).toBeCloseTo(6, 6);
    await ask.get(`/api/larder/supply`).expect(200);
  });

  it('takes more than it gives where it cooks down', async () => {
    const { flake, foodOf, make } = await kitchen({ cooked: 0.2 });
    await make(batchOf({ massG: 8 })).expect(201);
    expect((await foodOf(flake.id)).remainingG).toBeCloseTo(5, 6);
  });

  it('of a day to come is refused, and takes nothing', async () => {
    const { flake, foodOf, make } = await kitchen();
    const { body } = await make(batchOf({ day: '2026-03-12' })).expect(422);
    expect(body.errors[0]).toMatchObject({ path: 'day' });
    expect((await foodOf(flake.id)).remainingG).toBe(10);
  });

  it('says what the shelf did not have, and takes what was there', async () => {
    const { flake, foodOf, make } = await kitchen();
    const { body } = await make(batchOf({ massG: 30 })).expect(201);
    expect(body.short).toEqual([{ foodId: flake.id, massG: 5 }]);
    expect((await foodOf(flake.id)).remainingG).toBe(0);
  });

  it('uses what expires first, and opens it', async () => {
    const { ask, flake, foodOf, make } = await kitchen();
    const soon = sampleLot({ bestBefore: '2026-04-01', amountG: 3 });
    await ask.post(`/api/foods/${flake.id}/lots`).send(soon).expect(201);
    await make(batchOf()).expect(201);
    const { lots } = await foodOf(flake.id);
    expect(lots.find((one: { id: string }) => one.id === soon.id)).toMatchObject({
      remainingG: 0,
      openedOn: DAY,
    });
  });

  it('is taken back once, to the lots that it came from, while none of it was used', async () => {
    const { ask, flake, recipe, foodOf, make } = await kitchen();
    const batch = batchOf();
    await make(batch).expect(201);
    const undo = `/api/batches/${batch.id}/undo`;
    const { body } = await ask.post(undo).send({ id: uuidv7() }).expect(201);
    expect(body.batches).toEqual([]);
    await ask.post(undo).send({ id: uuidv7() }).expect(201);
    expect((await foodOf(flake.id)).remainingG).toBeCloseTo(10, 6);
    expect((await foodOf(recipe.foodId)).remainingG).toBe(0);
  });

  it('that was fed from is counted, not taken back', async () => {
    const { ask, recipe, make } = await kitchen();
    const batch = batchOf();
    await make(batch).expect(201);
    await ask
      .post(`/api/lots/${batch.lotId}/counts`)
      .send({ id: uuidv7(), day: DAY, remainingG: 7 })
      .expect(201);
    const { body } = await ask
      .post(`/api/batches/${batch.id}/undo`)
      .send({ id: uuidv7() })
      .expect(409);
    expect(body.detail).toMatch(/used already/);
    expect(
      (await ask.get('/api/recipes')).body.items.find((one: { id: string }) => one.id === recipe.id)
        .batches,
    ).toHaveLength(1);
  });

  it('of its own portions is fed as any other food', async () => {
    const { ask, recipe, foodOf, make } = await kitchen();
    await make(batchOf()).expect(201);
    const { group, serving } = await housed(ask, recipe.foodId);
    await ask
      .post('/api/feedings')
      .send(sampleFeeding({ group, food: { id: recipe.foodId }, serving }, { units: 2 }))
      .expect(201);
    expect((await foodOf(recipe.foodId)).remainingG).toBeCloseTo(8 - 2.06, 6);
  });

  it('knows corrected labels: the food that it makes follows its ingredients', async () => {
    const { ask, flake, recipe, foodOf, make } = await kitchen();
    const { id, lot: _, ...fields } = flake;
    const composition = { ...flake.composition, protein: 0.4 };
    await ask
      .put(`/api/foods/${id}`)
      .send({ ...fields, composition, version: 1, archived: false })
      .expect(200);
    await make(batchOf()).expect(201);
    expect((await foodOf(recipe.foodId)).composition.protein).toBeCloseTo(0.2, 9);
  });
});

describe('labels', () => {
  it('are a sheet for every fourteen, with a name that a disk takes', async () => {
    const { ask, make } = await kitchen({ name: 'Grünes / Gel «№ 2» for everybody, even longer' });
    const batch = batchOf();
    await make(batch).expect(201);
    const { body } = await ask.get(`/api/lots/${batch.lotId}/labels?copies=15`).expect(200);
    expect(body.fileName).toBe(`labels-grünes-gel-2-for-everybody-even-longer-${DAY}.pdf`);
    const pages = pagesIn(body.base64);
    expect(pages).toHaveLength(2);
    expect(pages[0]?.height).toBeCloseTo(841.89, 1);
  });

  it('are made for what was bought, too, and refused for more than anyone sticks', async () => {
    const { ask, flake } = await kitchen();
    const { body } = await ask.get(`/api/lots/${flake.lot.id}/labels`).expect(200);
    expect(pagesIn(body.base64)).toHaveLength(1);
    await ask.get(`/api/lots/${flake.lot.id}/labels?copies=999`).expect(422);
    await ask.get(`/api/lots/${uuidv7()}/labels`).expect(404);
  });
});

/** A tank and a group that eat a food of the shelf. */
async function housed(ask: ReturnType<TestServer['as']>, foodId: string) {
  const tank = sampleTank();
  const group = sampleGroup(tank.id);
  const moment = sampleMoment();
  const serving = sampleServing(foodId, moment.id);
  await ask.post('/api/tanks').send(tank).expect(201);
  await ask.post('/api/groups').send(group).expect(201);
  await ask.post('/api/moments').send(moment).expect(201);
  await ask
    .put(`/api/groups/${group.id}/diet`)
    .send({ version: 0, fastWeekdays: [], goalFactor: null, servings: [serving], rules: [] })
    .expect(200);
  return { group, serving };
}
