import type { GenericFood } from '@open-larder/catalogue';
import { up as pieces } from '../db/migrations/0018-pieces';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { blankFood, fieldsOfGeneric } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import {
  sampleFeeding,
  sampleFood,
  sampleLot,
  sampleWeighing,
  smallHouse,
} from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

describe('foods', () => {
  it('come with their lots and what is left', async () => {
    const food = sampleFood();
    const { body } = await server.as('ours').post('/api/foods').send(food).expect(201);
    expect(body).toMatchObject({
      name: 'Fine flake',
      remainingG: 10,
      composition: food.composition,
    });
    expect(body.lots).toHaveLength(1);
  });

  it('bought again in the same breath are bought once', async () => {
    const food = sampleFood();
    const lot = sampleLot();
    await server.as('ours').post('/api/foods').send(food).expect(201);
    await server.as('ours').post(`/api/foods/${food.id}/lots`).send(lot).expect(201);
    const { body } = await server
      .as('ours')
      .post(`/api/foods/${food.id}/lots`)
      .send(lot)
      .expect(201);
    expect(body.remainingG).toBe(20);
  });

  it('are corrected by counting, never by overwriting', async () => {
    const food = sampleFood();
    await server.as('ours').post('/api/foods').send(food).expect(201);
    const before = await count(server.db, 'stock_events');
    const { body } = await server
      .as('ours')
      .post(`/api/lots/${food.lot.id}/counts`)
      .send({ id: uuidv7(), day: '2026-03-10', remainingG: 7.25 })
      .expect(201);
    expect(body.remainingG).toBe(7.25);
    expect(await count(server.db, 'stock_events')).toBe(before + 1);
    await server
      .as('ours')
      .post(`/api/lots/${food.lot.id}/counts`)
      .send({ id: uuidv7(), day: '2026-03-10', remainingG: -1 })
      .expect(422);
  });

  it.each([
    [
      'a composition over 100 %',
      { composition: { protein: 0.9, fat: 0.3, fibre: 0, ash: 0, moisture: 0 } },
      /more than 100 %/,
    ],
    [
      'a unit that weighs nothing',
      { unit: { name: 'pinch', plural: 'pinches', massG: 0, step: 1 } },
      /mass of one unit/,
    ],
    [
      'a best-before before it was bought',
      { lot: sampleLot({ bestBefore: '2026-02-01' }) },
      /before the day it was bought/,
    ],
    ['a negative amount', { lot: sampleLot({ amountG: -5 }) }, /amount in grams/],
    ['an unknown form', { form: 'hovers' }, /./],
    [
      'a lot that was opened before it was bought',
      { lot: sampleLot({ openedOn: '2026-02-01' }) },
      /opened before/,
    ],
    ['a lot that is kept nowhere', { lot: sampleLot({ place: 'attic' }) }, /./],
    [
      'particles that are upside down',
      { inWater: { ...blankFood.inWater, particleMinMm: 3, particleMaxMm: 1 } },
      /smaller than the smallest/,
    ],
    [
      'a preparation with more work than time',
      { steps: [{ kind: 'blanch', leadMin: 5, workMin: 30, toMm: null }] },
      /longer than the step/,
    ],
  ])('refuse %s, and write nothing', async (_what, over, sentence) => {
    const before = [await count(server.db, 'foods'), await count(server.db, 'lots')];
    const { body } = await server.as('ours').post('/api/foods').send(sampleFood(over)).expect(422);
    expect(body.detail).toMatch(sentence);
    expect([await count(server.db, 'foods'), await count(server.db, 'lots')]).toEqual(before);
  });

  it('last as long as the plan lets them', async () => {
    const { ask, food, group } = await smallHouse(server, 'theirs');
    const { body } = await ask.get('/api/larder/supply').expect(200);
    const supply = body.foods.find((one: { foodId: string }) => one.foodId === food.id);
    expect(supply.usedPerWeekG).toBeGreaterThan(0);
    const days = Math.floor(10 / (supply.usedPerWeekG / 7));
    expect(supply.days ?? body.horizon).toBe(Math.min(days, body.horizon));
    // Ordered as many days before it runs out as the household's deliveries take.
    if (supply.buy) {
      const ahead = Date.parse(supply.buy.runsOutOn) - Date.parse(supply.buy.orderBy);
      expect(ahead / 86_400_000).toBe(4);
      expect(supply.packG).toBe(10);
    }
    expect(supply.buy === null).toBe(supply.days === null);
    // One group eats it all: the cost of the food is the cost of the group.
    const cost = body.groups.find((one: { groupId: string }) => one.groupId === group.id);
    expect(cost).toMatchObject({ inPart: false });
    expect(cost.costPerDayMinor).toBeCloseTo(supply.costPerDayMinor, 9);
    const next = await ask.put(`/api/lots/${food.lot.id}`).send({
      version: 1,
      costMinor: null,
      place: 'fridge',
      boughtOn: '2026-03-01',
      openedOn: '2026-03-05',
      bestBefore: '2026-03-12',
    });
    expect(next.body).toMatchObject({ version: 2, openedOn: '2026-03-05', place: 'fridge' });
    const after = await ask.get('/api/larder/supply').expect(200);
    const cut = after.body.foods.find((one: { foodId: string }) => one.foodId === food.id);
    expect(cut.days).toBe(3);
    expect(cut.waste).toEqual([
      { lotId: food.lot.id, massG: expect.any(Number), on: '2026-03-13' },
    ]);
    expect(cut.waste[0].massG).toBeGreaterThan(9);
    expect(cut.costPerDayMinor).toBeNull();
  });

  it('keep what is known of them in the water, and go back to how they were sent', async () => {
    const body = fieldsOfGeneric(
      loadCatalogue().foods.find((one) => one.key === 'sinking-pellet-small') as GenericFood,
    );
    const sent = sampleFood({ ...body, lot: null });
    const made = await server.as('ours').post('/api/foods').send(sent).expect(201);
    const { lot: _, ...fields } = sent;
    expect(made.body).toMatchObject(fields);
    expect(made.body.steps[0]).toEqual({ kind: 'soak', leadMin: 60, workMin: 1, toMm: null });
    const edit = { ...fields, version: 1, archived: false, liftAfterMin: null, steps: [] };
    const next = await server.as('ours').put(`/api/foods/${sent.id}`).send(edit).expect(200);
    expect(next.body).toMatchObject({ liftAfterMin: null, steps: [], version: 2 });
  });

  it('are opened by the first serving from them, and then keep only so long', async () => {
    const house = await smallHouse(server, 'theirs');
    const keeps = { sealedDays: null, openedDays: 5, preparedHours: null };
    const { id, lot: _, ...fields } = { ...house.food, keeps };
    await house.ask
      .put(`/api/foods/${id}`)
      .send({ ...fields, version: 1, archived: false })
      .expect(200);
    await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    const lot = await lotOf(house.ask, id);
    expect(lot).toMatchObject({ openedOn: '2026-03-10', version: 2 });
    const { body } = await house.ask.get('/api/larder/supply').expect(200);
    const supply = body.foods.find((one: { foodId: string }) => one.foodId === id);
    expect(supply.waste).toMatchObject([{ on: '2026-03-16' }]);
    expect(supply.days).toBeLessThanOrEqual(6);
    // A second serving opens nothing anew.
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { day: '2026-03-11' }))
      .expect(201);
    expect(await lotOf(house.ask, id)).toMatchObject({ openedOn: '2026-03-10', version: 2 });
  });
});

async function lotOf(ask: ReturnType<TestServer['as']>, foodId: string) {
  const { body } = await ask.get('/api/foods').expect(200);
  return body.items.find((one: { id: string }) => one.id === foodId).lots[0];
}

describe('a serving unit', () => {
  it('is weighed in once, whatever is sent twice, and by each hand for itself', async () => {
    const house = await smallHouse(server, 'ours');
    const path = `/api/foods/${house.food.id}/weighings`;
    const weighing = sampleWeighing();
    await house.ask.post(path).send(weighing).expect(201);
    const { body } = await house.ask.post(path).send(weighing).expect(201);
    expect(body.weighings).toEqual([weighing]);
    await house.ask
      .post(path)
      .send(sampleWeighing({ hand: 'Large', massG: 2.2 }))
      .expect(201);
    const unitFor = async (hand: string) => {
      const round = await house.ask.get(`/api/round/2026-03-10?hand=${hand}`).expect(200);
      return round.body.moments[0].stops[0].servings[0];
    };
    expect((await unitFor('Mine')).unit.massG).toBeCloseTo(0.055, 9);
    expect((await unitFor('Large')).unit.massG).toBeCloseTo(0.11, 9);
    // A hand that weighed nothing deals as all hands do together.
    expect((await unitFor('Someone')).unit.massG).toBeCloseTo(0.0825, 9);
    const fed = await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { hand: 'Large', units: 2, outcome: 'less' }))
      .expect(201);
    expect(fed.body.feeding).toMatchObject({ hand: 'Large' });
    expect(fed.body.feeding.massG).toBeCloseTo(0.22, 9);
  });

  it('goes back to what it was when its weighing is taken back, once', async () => {
    const house = await smallHouse(server, 'ours');
    const weighing = sampleWeighing();
    await house.ask.post(`/api/foods/${house.food.id}/weighings`).send(weighing).expect(201);
    const undo = `/api/weighings/${weighing.id}/undo`;
    await house.ask.post(undo).send({ id: uuidv7() }).expect(201);
    const { body } = await house.ask.post(undo).send({ id: uuidv7() }).expect(201);
    expect(body.weighings).toEqual([]);
    expect(body.unit.massG).toBe(0.05);
  });

  it('counts only in the unit that it was weighed in', async () => {
    const house = await smallHouse(server, 'ours');
    const { id, lot: _, ...fields } = house.food;
    await house.ask.post(`/api/foods/${id}/weighings`).send(sampleWeighing()).expect(201);
    const servedBy = async (name: string, version: number) =>
      (
        await house.ask
          .put(`/api/foods/${id}`)
          .send({ ...fields, unit: { ...fields.unit, name }, version, archived: false })
          .expect(200)
      ).body.weighings.length;
    expect(await servedBy('spoon', 1)).toBe(0);
    expect(await servedBy('Pinch', 2)).toBe(1);
  });

  it.each([
    [{ units: 0 }, /number of units/],
    [{ massG: 0 }, /weight of them all/],
    [{ hand: ' ' }, /whose hand/],
  ])('refuses %j', async (over, sentence) => {
    const food = sampleFood();
    await server.as('ours').post('/api/foods').send(food).expect(201);
    const { body } = await server
      .as('ours')
      .post(`/api/foods/${food.id}/weighings`)
      .send(sampleWeighing(over))
      .expect(422);
    expect(body.detail).toMatch(sentence);
  });
});

describe('a day that has not come', () => {
  const LATER = '2026-03-12';
  it.each([
    [
      'buying',
      'boughtOn',
      (id: string) => [`/api/foods/${id}/lots`, sampleLot({ boughtOn: LATER })],
    ],
    [
      'weighing',
      'day',
      (id: string) => [`/api/foods/${id}/weighings`, sampleWeighing({ day: LATER })],
    ],
    [
      'counting',
      'day',
      (_: string, lotId: string) => [
        `/api/lots/${lotId}/counts`,
        { id: uuidv7(), day: LATER, remainingG: 1 },
      ],
    ],
  ] as const)('is refused for %s', async (_, path, asked) => {
    const food = sampleFood();
    await server.as('ours').post('/api/foods').send(food).expect(201);
    const [address, body] = asked(food.id, food.lot.id) as [string, object];
    const answer = await server.as('ours').post(address).send(body).expect(422);
    expect(answer.body.errors).toEqual([
      { path, message: expect.stringMatching(/has not come yet/) },
    ]);
  });

  it('is refused for a food that comes with its lot, and for opening it', async () => {
    const bought = sampleFood({ lot: sampleLot({ boughtOn: LATER }) });
    await server.as('ours').post('/api/foods').send(bought).expect(422);
    const opened = sampleFood({ lot: sampleLot({ openedOn: LATER }) });
    await server.as('ours').post('/api/foods').send(opened).expect(422);
  });
});

describe('serving units that came wrong from the catalogue', () => {
  /** What the migration does with foods of before, on those that are here now. */
  const correct = () =>
    server.db.transaction((transaction) =>
      server.db.query(pieces.slice(pieces.indexOf('CREATE TEMPORARY TABLE')), { transaction }),
    );
  const old = {
    copiedFrom: 'sinking-pellet-small',
    unit: { name: 'pellet', plural: 'pellets', massG: 0.012, step: 1 },
    inWater: { floatMinutes: 0, sinkCmPerS: 4, particleMinMm: 1, particleMaxMm: 1.6 },
  };
  const put = async (over: object) => {
    const body = sampleFood(over);
    await server.as('ours').post('/api/foods').send(body).expect(201);
    return body.id;
  };
  const read = async (id: string) =>
    (await server.as('ours').get('/api/foods').expect(200)).body.items.find(
      (one: { id: string }) => one.id === id,
    );

  it('are corrected once where they were neither changed nor weighed, and said until they were seen', async () => {
    const guessed = await put({ ...old, name: 'Guessed' });
    const typed = await put({ ...old, name: 'Typed', unit: { ...old.unit, massG: 0.02 } });
    const weighed = await put({ ...old, name: 'Weighed' });
    await server
      .as('ours')
      .post(`/api/foods/${weighed}/weighings`)
      .send(sampleWeighing())
      .expect(201);
    await correct();
    expect(await read(guessed)).toMatchObject({
      version: 2,
      unit: { massG: 0.0017 },
      inWater: { pieceForm: 'stick', widthMinMm: 1, widthMaxMm: 1.4, particleMinMm: 1.1 },
    });
    expect((await read(typed)).unit.massG).toBe(0.02);
    expect((await read(weighed)).unit.massG).toBe(0.012);
    const said = async () =>
      (await server.as('ours').get('/api/larder/corrections').expect(200)).body.foods;
    expect(await said()).toEqual([
      { foodId: guessed, name: 'Guessed', unit: 'pellet', wasG: 0.012, isG: 0.0017 },
    ]);
    await server
      .as('ours')
      .post('/api/larder/corrections/seen')
      .send({ foodIds: [guessed] })
      .expect(201);
    expect(await said()).toEqual([]);
  });
});
