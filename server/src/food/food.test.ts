import { v7 as uuidv7 } from 'uuid';
import { sampleFood, sampleLot, smallHouse } from '../testing/samples';
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
      expect(supply.buy.packG).toBe(10);
    }
    expect(supply.buy === null).toBe(supply.days === null);
    // One group eats it all: the cost of the food is the cost of the group.
    const cost = body.groups.find((one: { groupId: string }) => one.groupId === group.id);
    expect(cost).toMatchObject({ inPart: false });
    expect(cost.costPerDayMinor).toBeCloseTo(supply.costPerDayMinor, 9);
    const next = await ask.put(`/api/lots/${food.lot.id}`).send({
      version: 1,
      costMinor: null,
      boughtOn: '2026-03-01',
      openedOn: '2026-03-05',
      bestBefore: '2026-03-12',
    });
    expect(next.body).toMatchObject({ version: 2, openedOn: '2026-03-05' });
    const after = await ask.get('/api/larder/supply').expect(200);
    const cut = after.body.foods.find((one: { foodId: string }) => one.foodId === food.id);
    expect(cut.days).toBe(3);
    expect(cut.wastedG).toBeGreaterThan(9);
    expect(cut.costPerDayMinor).toBeNull();
  });
});
