import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleLook, sampleLooks, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  house = await smallHouse(server);
});
afterAll(() => server.close());

const add = (over: object = {}) =>
  house.ask.post('/api/looks').send(sampleLooks(sampleLook(house.group.id, over)));
const list = async (query = '') =>
  (await house.ask.get(`/api/groups/${house.group.id}/looks${query}`).expect(200)).body;
const groupNow = async () => {
  const { body } = await house.ask.get('/api/groups').expect(200);
  return body.items.find((one: { id: string }) => one.id === house.group.id);
};
const needOn = async (day: string): Promise<number> => {
  const { body } = await house.ask.get(`/api/round/${day}`).expect(200);
  const serving = body.moments
    .flatMap((moment: { stops: { servings: object[] }[] }) =>
      moment.stops.flatMap((stop) => stop.servings),
    )
    .find((one: { groupId: string }) => one.groupId === house.group.id);
  return serving.massG / serving.ofWanted;
};

describe('a look at a group', () => {
  it('is kept as it was seen, newest first, page by page', async () => {
    await add({ belly: 2, hungBack: true, note: 'behind the wood' }).expect(201);
    await add({ belly: null, colour: 'pale', hand: 'Ada' }).expect(201);
    const first = await list('?limit=1');
    expect(first.items).toMatchObject([{ belly: null, colour: 'pale', hand: 'Ada' }]);
    const second = await list(`?limit=1&cursor=${first.next}`);
    expect(second.items).toMatchObject([{ belly: 2, hungBack: true, note: 'behind the wood' }]);
    expect(second.next).toBeNull();
  });

  it('sent twice is written once, and is taken back by another event', async () => {
    const look = sampleLook(house.group.id, { belly: 1 });
    const looked = sampleLooks(look);
    await house.ask.post('/api/looks').send(looked).expect(201);
    await house.ask.post('/api/looks').send(looked).expect(201);
    expect((await list()).items).toHaveLength(1);
    expect((await groupNow()).belly).toEqual({ score: 1, day: '2026-03-10' });
    const undo = () =>
      house.ask
        .post('/api/looks/undo')
        .send({ id: uuidv7(), at: look.at, looks: [{ lookId: look.id, id: uuidv7() }] })
        .expect(201);
    await undo();
    await undo();
    expect((await list()).items).toEqual([]);
    expect((await groupNow()).belly).toBeNull();
  });

  it.each([
    ['nothing was seen', { belly: null }],
    ['a belly of six', { belly: 6 }],
    ['a day that has not come', { day: '2026-03-12' }],
    ['a time that has not come', { at: '2026-03-11T13:00:00Z' }],
    ['a colour that there is not', { colour: 'plaid' }],
  ])('is refused where %s', async (_, over) => {
    const { body } = await add(over).expect(422);
    expect(body.detail.length).toBeGreaterThan(10);
    expect((await list()).items).toEqual([]);
  });

  it('of nobody is not found', async () => {
    await house.ask
      .post('/api/looks')
      .send(sampleLooks(sampleLook(uuidv7())))
      .expect(404);
    await house.ask.get(`/api/groups/${uuidv7()}/looks`).expect(404);
  });
});

describe('a look at the groups of a tank', () => {
  it('is noted whole or not at all', async () => {
    const other = sampleGroup(house.tank.id);
    await house.ask.post('/api/groups').send(other).expect(201);
    const both = sampleLooks(sampleLook(house.group.id), sampleLook(uuidv7()));
    await house.ask.post('/api/looks').send(both).expect(404);
    expect((await list()).items).toEqual([]);
    const right = sampleLooks(sampleLook(house.group.id), sampleLook(other.id));
    await house.ask.post('/api/looks').send(right).expect(201);
    expect((await list()).items).toHaveLength(1);
  });

  it('under an id that was used for another is told so, and keeps the first', async () => {
    const first = sampleLooks(sampleLook(house.group.id, { belly: 4 }));
    await house.ask.post('/api/looks').send(first).expect(201);
    const changed = { ...first, looks: [sampleLook(house.group.id, { belly: 2 })] };
    const { body } = await house.ask.post('/api/looks').send(changed).expect(409);
    expect(body.type).toBe('urn:open-larder:id-used');
    expect((await list()).items).toMatchObject([{ belly: 4 }]);
  });
});

describe('a sunken belly', () => {
  it('raises the need from its day on, with the reason, until it is well filled again', async () => {
    const before = await needOn('2026-03-10');
    await add({ belly: 1 }).expect(201);
    expect((await needOn('2026-03-10')) / before).toBeCloseTo(1.15, 6);
    expect((await needOn('2026-03-11')) / before).toBeCloseTo(1.15, 6);
    const { body } = await house.ask
      .get(`/api/round/2026-03-10/why/${house.serving.id}`)
      .expect(200);
    expect(JSON.stringify(body.why)).toContain('sunken');
    await add({ belly: 3, at: '2026-03-10T17:30:00.000Z' }).expect(201);
    expect(await needOn('2026-03-10')).toBeCloseTo(before, 9);
  });

  it('counts for two weeks, and leaves the past as it was', async () => {
    const before = await needOn('2026-03-11');
    await add({ belly: 2 }).expect(201);
    expect((await needOn('2026-03-24')) / before).toBeCloseTo(1.08, 6);
    expect((await needOn('2026-03-25')) / before).toBeCloseTo(1, 6);
  });
});
