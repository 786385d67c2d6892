import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleFood, sampleLot, smallHouse } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const leftOf = async (foodId: string) => {
  const { body } = await server.as('ours').get('/api/foods').expect(200);
  return body.items.find((food: { id: string }) => food.id === foodId).remainingG;
};

describe('serving', () => {
  it('takes the food from the shelf, and the round shows it', async () => {
    const house = await smallHouse(server);
    const answer = await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    expect(answer.body).toMatchObject({ shortG: 0, feeding: { massG: 0.2, outcome: 'served' } });
    expect(await leftOf(house.food.id)).toBeCloseTo(9.8, 9);
    const { body } = await house.ask.get('/api/round/2026-03-10').expect(200);
    const serving = body.moments
      .flatMap((moment: { stops: { servings: object[] }[] }) =>
        moment.stops.flatMap((stop) => stop.servings),
      )
      .find((one: { servingId: string }) => one.servingId === house.serving.id);
    expect(serving.fed.at).toBe('2026-03-10T11:30:00.000Z');
  });

  it('sent twice is written once', async () => {
    const house = await smallHouse(server);
    const body = sampleFeeding(house);
    await house.ask.post('/api/feedings').send(body).expect(201);
    await house.ask.post('/api/feedings').send(body).expect(201);
    expect(await leftOf(house.food.id)).toBeCloseTo(9.8, 9);
  });

  it('is kept word for word, and answered as the first time, whatever its note holds', async () => {
    const house = await smallHouse(server);
    const note = `It's «:household»; why? \\ -- $1 ' || "x" /* ? */`;
    const body = sampleFeeding(house, { note });
    const first = await house.ask.post('/api/feedings').send(body).expect(201);
    expect(first.body.feeding.note).toBe(note);
    const again = await house.ask.post('/api/feedings').send(body).expect(201);
    expect(again.body).toEqual(first.body);
    const { body: listed } = await house.ask.get('/api/feedings?limit=1').expect(200);
    expect(listed.items[0].note).toBe(note);
  });

  it('by two phones at once is written once, and the other is told', async () => {
    const house = await smallHouse(server);
    const send = () => house.ask.post('/api/feedings').send(sampleFeeding(house));
    const answers = await Promise.all([send(), send(), send()]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409, 409]);
    expect(await leftOf(house.food.id)).toBeCloseTo(9.8, 9);
  });

  it('is undone by a correcting event, once, and can then be logged anew', async () => {
    const house = await smallHouse(server);
    const fed = sampleFeeding(house);
    await house.ask.post('/api/feedings').send(fed).expect(201);
    const undo = () =>
      house.ask.post(`/api/feedings/${fed.id}/undo`).send({ id: uuidv7(), at: fed.at });
    await undo().expect(201);
    await undo().expect(201);
    expect(await leftOf(house.food.id)).toBeCloseTo(10, 9);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { outcome: 'less', units: 2 }))
      .expect(201);
    expect(await leftOf(house.food.id)).toBeCloseTo(9.9, 9);
  });

  it('draws what expires first, and says what the shelf did not have', async () => {
    const house = await smallHouse(server);
    const soon = sampleLot({ amountG: 0.15, bestBefore: '2026-04-01' });
    await house.ask.post(`/api/foods/${house.food.id}/lots`).send(soon).expect(201);
    await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    const { body } = await house.ask.get('/api/foods').expect(200);
    const food = body.items.find((one: { id: string }) => one.id === house.food.id);
    expect(food.lots.find((lot: { id: string }) => lot.id === soon.id).remainingG).toBe(0);
    expect(food.remainingG).toBeCloseTo(9.95, 9);
    const much = sampleFeeding(house, { day: '2026-03-09', outcome: 'more', units: 300 });
    const answer = await house.ask.post('/api/feedings').send(much).expect(201);
    expect(answer.body.shortG).toBeCloseTo(15 - 9.95, 6);
    expect(await leftOf(house.food.id)).toBe(0);
  });

  it('keeps every lot equal to the sum of its events', async () => {
    const [{ off } = { off: -1 }] = (await server.scope('ours').rows<{ off: number }>(
      `SELECT count(*) AS off FROM lots l WHERE l.household_id = :household AND l.remaining_g <>
        (SELECT coalesce(sum(delta_g), 0) FROM stock_events e WHERE e.lot_id = l.id)`,
    )) as [{ off: number }];
    expect(off).toBe(0);
  });

  it('skipped takes nothing; every other outcome takes something', async () => {
    const house = await smallHouse(server);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { outcome: 'skipped' }))
      .expect(422);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { units: 0 }))
      .expect(422);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { outcome: 'skipped', units: 0 }))
      .expect(201);
    expect(await leftOf(house.food.id)).toBe(10);
  });

  it('of a kilogram is a slip of the finger, and says so', async () => {
    const house = await smallHouse(server);
    const food = sampleFood({ unit: { name: 'bag', plural: 'bags', massG: 250, step: 0.5 } });
    await house.ask.post('/api/foods').send(food).expect(201);
    const slip = await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { foodId: food.id, outcome: 'more', units: 4 }))
      .expect(422);
    expect(slip.body.detail).toBe(
      `that is 1000 g of ${food.name} at once: check the amount, and what one bag weighs`,
    );
    expect(await leftOf(food.id)).toBe(10);
  });

  it('of a group that had ended is refused, with its day; that day itself still counts', async () => {
    const house = await smallHouse(server);
    await house.ask
      .put(`/api/groups/${house.group.id}`)
      .send({
        name: house.group.name,
        speciesKey: house.group.speciesKey,
        version: 1,
        archived: true,
      })
      .expect(200);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { day: '2026-03-10' }))
      .expect(201);
    const late = await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { day: '2026-03-11' }))
      .expect(422);
    expect(late.body.detail).toContain('ended on 10 Mar 2026');
  });

  it('of a strange food, group or day is refused, and nothing is half written', async () => {
    const house = await smallHouse(server);
    const before = [await count(server.db, 'feedings'), await count(server.db, 'stock_events')];
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { foodId: uuidv7() }))
      .expect(404);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { groupId: uuidv7() }))
      .expect(404);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { day: '2026-03-12' }))
      .expect(422);
    await house.ask
      .post(`/api/feedings/${uuidv7()}/undo`)
      .send({ id: uuidv7(), at: '2026-03-10T00:00:00Z' })
      .expect(404);
    expect([await count(server.db, 'feedings'), await count(server.db, 'stock_events')]).toEqual(
      before,
    );
  });
});

describe('a day', () => {
  it('rests on a fasting weekday, and a group without fish is not served', async () => {
    const house = await smallHouse(server);
    await house.ask
      .put(`/api/groups/${house.group.id}/diet`)
      .send({
        version: 1,
        fastWeekdays: [2],
        goalFactor: null,
        servings: [house.serving],
        rules: [],
      })
      .expect(200);
    const { body } = await house.ask.get('/api/round/2026-03-10').expect(200);
    expect(body.resting).toContainEqual(
      expect.objectContaining({ groupId: house.group.id, reason: 'fast' }),
    );
  });

  it('of the past is read back with the plan and the fish of that day', async () => {
    const house = await smallHouse(server);
    const before = await house.ask.get('/api/round/2026-03-09').expect(200);
    expect(before.body.resting).toContainEqual(
      expect.objectContaining({ groupId: house.group.id, reason: 'noDiet' }),
    );
    const long = await house.ask.get('/api/round/2026-02-20').expect(200);
    expect(JSON.stringify(long.body)).not.toContain(house.group.id);
  });

  it('explains each portion down to its inputs', async () => {
    const house = await smallHouse(server);
    const { body } = await house.ask
      .get(`/api/round/2026-03-10/why/${house.serving.id}`)
      .expect(200);
    expect(body.why.label).toBe('Portion');
    expect(JSON.stringify(body.why)).toContain('Water temperature');
    await house.ask.get(`/api/round/2026-03-10/why/${uuidv7()}`).expect(404);
    await house.ask.get('/api/round/2026-13-45').expect(404);
  });
});

describe('records', () => {
  it('set what was offered against what was needed, refused and undone told apart', async () => {
    const house = await smallHouse(server, 'theirs');
    await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    await house.ask
      .post('/api/feedings')
      .send(sampleFeeding(house, { day: '2026-03-09', outcome: 'refused' }))
      .expect(201);
    const undone = sampleFeeding(house, { day: '2026-03-08' });
    await house.ask.post('/api/feedings').send(undone).expect(201);
    await house.ask
      .post(`/api/feedings/${undone.id}/undo`)
      .send({ id: uuidv7(), at: undone.at })
      .expect(201);
    const { body } = await house.ask
      .get('/api/records/consumption')
      .query({ from: '2026-03-04', to: '2026-03-10' })
      .expect(200);
    expect(body.days).toHaveLength(7);
    const [food] = body.foods;
    expect(food.gramsPerDay).toEqual([0, 0, 0, 0, 0, 0.2, 0.2]);
    expect(food.costMinor).toBeCloseTo(20, 6);
    const [group] = body.groups;
    expect(group.offeredKj).toBeCloseTo(0.4 * 14.857, 2);
    expect(group.refusedKj).toBeCloseTo(0.2 * 14.857, 2);
    expect(group.neededPerDay[0]).toBeGreaterThan(0);
    await house.ask
      .get('/api/records/consumption')
      .query({ from: '2026-03-10', to: '2026-03-01' })
      .expect(422);
    await house.ask
      .get('/api/records/consumption')
      .query({ from: '2020-01-01', to: '2026-03-01' })
      .expect(422);
  });
});

describe('a feeding from before a group came', () => {
  it('is refused with the day on which it came', async () => {
    const house = await smallHouse(server);
    const early = sampleFeeding(house, { id: uuidv7(), day: '2026-02-27' });
    const { body } = await house.ask.post('/api/feedings').send(early).expect(422);
    expect(body.errors).toEqual([
      { path: 'day', message: 'Danios came on 1 Mar 2026: choose that day or a later one' },
    ]);
    const first = sampleFeeding(house, { id: uuidv7(), day: '2026-03-01' });
    await house.ask.post('/api/feedings').send(first).expect(201);
  });
});

describe('a count', () => {
  const countAt = (lotId: string, remainingG: number, at: string) =>
    server
      .as('ours')
      .post(`/api/lots/${lotId}/counts`)
      .send({ id: uuidv7(), day: '2026-03-10', remainingG, at })
      .expect(201);
  const fedAt = (house: Awaited<ReturnType<typeof smallHouse>>, at: string, day = '2026-03-10') =>
    house.ask.post('/api/feedings').send(sampleFeeding(house, { at, day })).expect(201);
  const lotOf = async (foodId: string): Promise<string> => {
    const { body } = await server.as('ours').get('/api/foods').expect(200);
    return body.items.find((food: { id: string }) => food.id === foodId).lots[0].id;
  };

  it('holds what was served before it, also where that arrives after it', async () => {
    const house = await smallHouse(server);
    await countAt(await lotOf(house.food.id), 5, '2026-03-10T11:00:00Z');
    const late = await fedAt(house, '2026-03-10T10:00:00Z');
    expect(late.body.shortG).toBe(0);
    expect(await leftOf(house.food.id)).toBe(5);
    await fedAt(house, '2026-03-10T11:30:00Z', '2026-03-09');
    expect(await leftOf(house.food.id)).toBeCloseTo(4.8, 9);
    // Taken back, what was never drawn does not return.
    await house.ask
      .post(`/api/feedings/${late.body.feeding.id}/undo`)
      .send({ id: uuidv7(), at: '2026-03-10T11:40:00Z' })
      .expect(201);
    expect(await leftOf(house.food.id)).toBeCloseTo(4.8, 9);
  });

  it('that arrives late leaves what was served since then served, and a later count as it is', async () => {
    const house = await smallHouse(server);
    const lot = await lotOf(house.food.id);
    await fedAt(house, '2026-03-10T11:30:00Z');
    await countAt(lot, 8, '2026-03-10T11:00:00Z');
    expect(await leftOf(house.food.id)).toBeCloseTo(7.8, 9);
    await countAt(lot, 3, '2026-03-10T11:50:00Z');
    await countAt(lot, 9, '2026-03-10T11:40:00Z');
    expect(await leftOf(house.food.id)).toBeCloseTo(3, 9);
  });

  it('of nothing is no shortage for what was served before it', async () => {
    const house = await smallHouse(server);
    await countAt(await lotOf(house.food.id), 0, '2026-03-10T11:00:00Z');
    const late = await fedAt(house, '2026-03-10T10:00:00Z');
    expect([late.body.shortG, await leftOf(house.food.id)]).toEqual([0, 0]);
  });
});
