import type { Acceptance, Served } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleSighting, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  house = await smallHouse(server, 'ours', '2026-01-01');
});
afterAll(() => server.close());

const SPAN = { from: '2026-02-23', to: '2026-03-10' };
const feed = (day: string, over: object = {}) =>
  house.ask
    .post('/api/feedings')
    .send(sampleFeeding(house, { day, ...over }))
    .expect(201);
const served = async (span = SPAN): Promise<Served> =>
  (await house.ask.get('/api/records/served').query(span).expect(200)).body;
const ours = async () => (await served()).rows.find((row) => row.groupId === house.group.id)!;

describe('what was served', () => {
  it('is summed by group and food: offered, refused, left and skipped told apart', async () => {
    // 0.2 g each: served, refused, half of it, none.
    await feed('2026-03-10');
    await feed('2026-03-09', { outcome: 'refused' });
    await feed('2026-03-08', { outcome: 'less', units: 2 });
    await feed('2026-03-07', { outcome: 'skipped', units: 0 });
    await house.ask
      .post(`/api/tanks/${house.tank.id}/sightings`)
      .send(sampleSighting(house, { clearedMin: null, left: 0.5, came: [] }))
      .expect(201);
    const row = await ours();
    expect(row).toMatchObject({
      groupName: house.group.name,
      tankName: house.tank.name,
      foodName: house.food.name,
      servings: 3,
      skipped: 1,
    });
    expect(row.offeredG).toBeCloseTo(0.5, 9);
    expect(row.refusedG).toBeCloseTo(0.2, 9);
    expect(row.leftG).toBeCloseTo(0.1, 9);
    // A lot of 10 g for 5.00.
    expect(row.costMinor).toBeCloseTo(25, 6);
  });

  it('leaves out what was taken back, and what lies outside the span', async () => {
    await feed('2026-03-10');
    await feed('2026-02-20');
    const undone = sampleFeeding(house, { day: '2026-03-09' });
    await house.ask.post('/api/feedings').send(undone).expect(201);
    await house.ask
      .post(`/api/feedings/${undone.id}/undo`)
      .send({ id: uuidv7(), at: undone.at })
      .expect(201);
    expect(await ours()).toMatchObject({ servings: 1, offeredG: 0.2 });
    expect((await served({ from: '2026-03-01', to: '2026-03-05' })).rows).not.toContainEqual(
      expect.objectContaining({ groupId: house.group.id }),
    );
  });

  it('has left what the last look at a meal said, and nothing of a meal that was taken back', async () => {
    const fed = sampleFeeding(house, { day: '2026-03-10' });
    await house.ask.post('/api/feedings').send(fed).expect(201);
    const see = (over: object) =>
      house.ask
        .post(`/api/tanks/${house.tank.id}/sightings`)
        .send(sampleSighting(house, { clearedMin: null, left: null, came: [], ...over }))
        .expect(201);
    await see({ left: 1 });
    await see({ left: 0.25 });
    expect((await ours()).leftG).toBeCloseTo(0.05, 9);
    // In the end it was gone after all.
    await see({ clearedMin: 40 });
    expect((await ours()).leftG).toBe(0);
    await see({ left: 1 });
    await house.ask
      .post(`/api/feedings/${fed.id}/undo`)
      .send({ id: uuidv7(), at: fed.at })
      .expect(201);
    await feed('2026-03-09', { units: 1, outcome: 'less' });
    expect((await ours()).leftG).toBe(0);
  });

  it('is set against its plan by moment, and beside it', async () => {
    await feed('2026-03-10', { outcome: 'more', units: 6 });
    await feed('2026-03-09', { outcome: 'skipped', units: 0 });
    await feed('2026-03-10', { servingId: uuidv7(), outcome: 'more', plannedUnits: 0, units: 1 });
    const { moments } = await served();
    const own = moments.find((row) => row.momentId === house.moment.id)!;
    expect(own).toMatchObject({ name: house.moment.name, served: 0, more: 1, skipped: 1 });
    // Four pinches were planned each day; six and none went in.
    expect(own.plannedG).toBeCloseTo(0.4, 9);
    expect(own.givenG).toBeCloseTo(0.3, 9);
    expect(moments.find((row) => row.momentId === null)).toMatchObject({
      name: 'Beside the plan',
      more: 1,
    });
  });

  it('comes as CSV, and no cell of it is run as a formula', async () => {
    await house.ask
      .put(`/api/tanks/${house.tank.id}`)
      .send({ ...house.tank, id: undefined, name: '=1+1', version: 1, archived: false })
      .expect(200);
    await feed('2026-03-10');
    const { body } = await house.ask.get('/api/records/served-table').query(SPAN).expect(200);
    expect(body.fileName).toBe('served-2026-02-23-2026-03-10.csv');
    const lines = (body.text as string).trim().split('\n');
    expect(lines[0]).toBe(
      'tank,group,food,servings,skipped,offered g,refused g,left g,eaten g,cost',
    );
    expect(lines.some((line) => line.includes("'=1+1"))).toBe(true);
    expect(lines.find((line) => line.includes("'=1+1"))).toMatch(/,1,0,0\.2,0,0,0\.2,0\.1/);
  });

  it('refuses a span that ends before it begins', async () => {
    await house.ask
      .get('/api/records/served')
      .query({ from: '2026-03-10', to: '2026-03-01' })
      .expect(422);
  });
});

describe('how readily a food is taken', () => {
  it('is reported week by week, and nothing where none was offered', async () => {
    await feed('2026-02-24', { outcome: 'refused' });
    await feed('2026-02-25');
    await feed('2026-03-10');
    const { body } = await house.ask
      .get(`/api/records/acceptance/${house.group.id}`)
      .query(SPAN)
      .expect(200);
    const { weeks, foods } = body as Acceptance;
    expect(weeks).toEqual(['2026-02-23', '2026-03-02', '2026-03-09']);
    expect(foods).toEqual([
      { foodId: house.food.id, name: house.food.name, taken: [0.5, null, 1] },
    ]);
    await house.ask.get(`/api/records/acceptance/${uuidv7()}`).query(SPAN).expect(404);
  });
});
