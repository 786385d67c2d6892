import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleGroup, sampleTank, smallHouse } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let tankId: string;
beforeAll(async () => {
  server = await startTestServer();
  const tank = sampleTank();
  tankId = tank.id;
  await server.as('ours').post('/api/tanks').send(tank).expect(201);
});
afterAll(() => server.close());

const make = async (over: object = {}) => {
  const body = sampleGroup(tankId, over);
  return (await server.as('ours').post('/api/groups').send(body).expect(201)).body;
};
const logEvents = (groupId: string, event: object) =>
  server
    .as('ours')
    .post(`/api/groups/${groupId}/events`)
    .send({ id: uuidv7(), day: '2026-03-05', ...event });

describe('groups', () => {
  it('are the sum of their events', async () => {
    const group = await make();
    expect(group.size).toEqual({ males: 4, females: 6, unsexed: 0, total: 10 });
    await logEvents(group.id, { kind: 'died', males: 1, females: 0, unsexed: 0 }).expect(201);
    const after = await logEvents(group.id, {
      kind: 'arrived',
      males: 0,
      females: 0,
      unsexed: 3,
    }).expect(201);
    expect(after.body.size).toEqual({ males: 3, females: 6, unsexed: 3, total: 12 });
  });

  it('grow and age by events, and remember when', async () => {
    const group = await make();
    await logEvents(group.id, { kind: 'measured', lengthCm: 4 }).expect(201);
    const after = await logEvents(group.id, { kind: 'staged', stage: 'conditioning' }).expect(201);
    expect(after.body).toMatchObject({ lengthCm: 4, stage: 'conditioning' });
  });

  it('take an event once, however often it is sent', async () => {
    const group = await make();
    const event = { id: uuidv7(), kind: 'died', males: 1, females: 0, unsexed: 0 };
    await logEvents(group.id, event).expect(201);
    const again = await logEvents(group.id, event).expect(201);
    expect(again.body.size.total).toBe(9);
  });

  it('refuse a loss that leaves less than nothing, on that day or later', async () => {
    const group = await make();
    await logEvents(group.id, { kind: 'died', males: 9, females: 0, unsexed: 0 }).expect(422);
    await logEvents(group.id, {
      kind: 'died',
      males: 4,
      females: 0,
      unsexed: 0,
      day: '2026-03-08',
    }).expect(201);
    const earlier = await logEvents(group.id, {
      kind: 'died',
      males: 1,
      females: 0,
      unsexed: 0,
    }).expect(422);
    expect(earlier.body.detail).toMatch(/the loss of 4 males on 8 Mar 2026: only 3 males/);
  });

  it('refuse events before they came and after today', async () => {
    const group = await make();
    await logEvents(group.id, { kind: 'measured', lengthCm: 4, day: '2026-02-01' }).expect(422);
    await logEvents(group.id, { kind: 'measured', lengthCm: 4, day: '2026-03-11' }).expect(422);
  });

  it('keep checkpoints until others are sent, and refuse a birth that has not come', async () => {
    const group = await make();
    const { name, speciesKey } = group;
    const edit = (over: object) =>
      server
        .as('ours')
        .put(`/api/groups/${group.id}`)
        .send({ name, speciesKey, archived: false, ...over });
    const kept = {
      bornOn: '2026-01-10',
      checkpoints: [{ name: 'sellable', lengthCm: 4, ageDays: 120 }],
    };
    await edit({ version: 1, ...kept, bornOn: '2027-01-01' }).expect(422);
    const first = await edit({ version: 1, ...kept }).expect(200);
    expect(first.body).toMatchObject(kept);
    const renamed = await edit({ version: 2, name: 'Others' }).expect(200);
    expect(renamed.body).toMatchObject({ name: 'Others', ...kept });
    const without = await edit({ version: 3, bornOn: null, checkpoints: [] }).expect(200);
    expect(without.body).toMatchObject({ bornOn: null, checkpoints: [] });
  });

  it.each([
    ['an unknown species', { speciesKey: 'sea-serpent' }, 422],
    ['no fish', { males: 0, females: 0 }, 422],
    ['half a fish', { males: 0.5 }, 422],
    ['a length of a whale', { lengthCm: 900 }, 422],
    ['an unknown tank', { tankId: uuidv7() }, 404],
    ['a day that does not exist', { day: '2026-02-30' }, 422],
    ['a day that has not come', { day: '2027-01-01' }, 422],
  ])('refuse %s, and write nothing', async (_what, over, status) => {
    const before = await count(server.db, 'group_events');
    await server.as('ours').post('/api/groups').send(sampleGroup(tankId, over)).expect(status);
    expect(await count(server.db, 'group_events')).toBe(before);
  });

  it('cannot be in two places at once: the database itself refuses', async () => {
    const group = await make();
    await expect(
      server
        .scope('ours')
        .insert('stays', [
          { id: uuidv7(), groupId: group.id, tankId, during: ['2026-03-05', null] },
        ]),
    ).rejects.toMatchObject({ parent: { code: '23P01' } });
  });

  it.each(['group_events', 'feedings', 'stock_events', 'diets', 'diet_servings'])(
    'keep what happened: rows of %s can be neither changed nor removed',
    async (table) => {
      const house = await smallHouse(server);
      await house.ask.post('/api/feedings').send(sampleFeeding(house)).expect(201);
      expect(await count(server.db, table)).toBeGreaterThan(0);
      await expect(server.db.query(`DELETE FROM ${table}`)).rejects.toThrow(/correcting one/);
      await expect(
        server.db.query(`UPDATE ${table} SET household_id = household_id`),
      ).rejects.toThrow(/correcting one/);
    },
  );
});

describe('diets', () => {
  it('say how a serving is given, and the Round says it at the glass', async () => {
    const { ask, group, serving } = await smallHouse(server);
    const manner = { afterMin: 5, spots: 2, carried: true, soaked: true, apart: false };
    const put = (given: object) =>
      ask.put(`/api/groups/${group.id}/diet`).send({
        version: 1,
        fastWeekdays: [],
        goalFactor: null,
        rules: [],
        servings: [{ ...serving, manner: { ...manner, ...given } }],
      });
    await put({ spots: 9 }).expect(422);
    await put({ afterMin: -5 }).expect(422);
    const { body } = await put({}).expect(200);
    expect(body.servings[0].manner).toEqual(manner);
    const round = await ask.get('/api/round/2026-03-10').expect(200);
    const servings = round.body.moments.flatMap(
      (moment: { stops: { servings: { servingId: string }[] }[] }) =>
        moment.stops.flatMap((stop) => stop.servings),
    );
    expect(servings.find((one: { servingId: string }) => one.servingId === serving.id).manner).toBe(
      'soaked, carried to them, in 2 places, 5 min later',
    );
  });

  it('are versions: the newest counts, a stale one is refused with both', async () => {
    const { ask, group, serving } = await smallHouse(server);
    const diet = { fastWeekdays: [7], goalFactor: 1.3, servings: [serving], rules: [] };
    const saved = await ask
      .put(`/api/groups/${group.id}/diet`)
      .send({ ...diet, version: 1 })
      .expect(200);
    expect(saved.body).toMatchObject({ version: 2, validFrom: '2026-03-10', fastWeekdays: [7] });
    const stale = await ask
      .put(`/api/groups/${group.id}/diet`)
      .send({ ...diet, version: 1, fastWeekdays: [] })
      .expect(409);
    expect(stale.body.yours.fastWeekdays).toEqual([]);
    expect(stale.body.theirs.fastWeekdays).toEqual([7]);
    const { body } = await ask.get('/api/groups').expect(200);
    const read = body.items.find((one: { id: string }) => one.id === group.id);
    expect(read.diet.servings).toEqual([serving]);
  });

  it('two saves at once: one wins, one is told', async () => {
    const { ask, group, serving } = await smallHouse(server);
    const save = (goalFactor: number) =>
      ask
        .put(`/api/groups/${group.id}/diet`)
        .send({ version: 1, fastWeekdays: [], goalFactor, servings: [serving], rules: [] });
    const answers = await Promise.all([save(1), save(2)]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409]);
  });

  it('refuse a food or a moment that is not there, naming the field', async () => {
    const { ask, group, serving } = await smallHouse(server);
    const save = (over: object) =>
      ask.put(`/api/groups/${group.id}/diet`).send({
        version: 1,
        fastWeekdays: [],
        goalFactor: null,
        rules: [],
        servings: [{ ...serving, ...over }],
      });
    expect((await save({ foodId: uuidv7() }).expect(422)).body.errors[0].path).toBe(
      'servings.0.foodId',
    );
    expect((await save({ momentId: uuidv7() }).expect(422)).body.errors[0].path).toBe(
      'servings.0.momentId',
    );
    await save({ days: [] }).expect(422);
    await save({ days: [1, 1] }).expect(422);
    await save({ ownUnits: -3 }).expect(422);
  });
});
