import type { LearnedRow, SightingRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleSighting, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  ours = await smallHouse(server);
});
afterAll(() => server.close());

const path = () => `/api/tanks/${ours.tank.id}`;
const add = (over: object = {}) =>
  ours.ask.post(`${path()}/sightings`).send(sampleSighting(ours, over));
const list = async (query = ''): Promise<{ items: SightingRow[]; next: string | null }> =>
  (await ours.ask.get(`${path()}/sightings${query}`).expect(200)).body;
const learned = async (): Promise<LearnedRow> =>
  (await ours.ask.get(`${path()}/learned`).expect(200)).body;

describe('sightings', () => {
  it('are kept as they were seen, newest first, page by page', async () => {
    await add({ clearedMin: 12 }).expect(201);
    await add({ clearedMin: null, left: 0.25, came: [] }).expect(201);
    const first = await list('?limit=1');
    expect(first.items[0]).toMatchObject({ clearedMin: null, left: 0.25, came: [] });
    expect(first.items[0]!.drops[0]).toMatchObject({ massG: 0.2, manner: { spots: 1 } });
    const second = await list(`?limit=1&cursor=${first.next}`);
    expect(second.items[0]).toMatchObject({ clearedMin: 12 });
    expect(second.next).toBeNull();
  });

  it('sent twice are written once, and taken back by another event', async () => {
    const sighting = sampleSighting(ours);
    await ours.ask.post(`${path()}/sightings`).send(sighting).expect(201);
    await ours.ask.post(`${path()}/sightings`).send(sighting).expect(201);
    expect((await list()).items).toHaveLength(1);
    const undo = () =>
      ours.ask.post(`/api/sightings/${sighting.id}/undo`).send({ id: uuidv7() }).expect(201);
    await undo();
    await undo();
    expect((await list()).items).toEqual([]);
  });

  it.each([
    ['nothing was seen', { clearedMin: null, left: null, came: [] }],
    ['gone and left at once', { clearedMin: 3, left: 0.5 }],
    ['a share of more than all', { left: 1.5, clearedMin: null }],
    ['nothing was given', { drops: [] }],
    ['a day that has not come', { day: '2099-01-01' }],
    ['a group of nobody', { came: [{ groupId: uuidv7(), share: 1 }] }],
  ])('are refused where %s', async (_, over) => {
    const { body } = await add(over).expect(422);
    expect(body.detail.length).toBeGreaterThan(10);
    expect((await list()).items).toEqual([]);
  });
});

describe('what was learned', () => {
  const traits = () => ({
    groupId: ours.group.id,
    search: 1.2,
    taking: 1,
    coming: 0.6,
    sure: { search: 0.3, taking: 0, coming: 0.5 },
  });
  const save = (over: object = {}) =>
    ours.ask
      .put(`${path()}/learned`)
      .send({ version: 0, frozen: false, sightings: 4, groups: [traits()], ...over });

  it('is nothing at first, then what was kept, version by version', async () => {
    expect(await learned()).toEqual({ version: 0, frozen: false, sightings: 0, groups: [] });
    await save().expect(200);
    expect(await learned()).toMatchObject({ version: 1, sightings: 4, groups: [traits()] });
    await save({ version: 1, frozen: true }).expect(200);
    expect(await learned()).toMatchObject({ version: 2, frozen: true });
  });

  it('is never overwritten by a stale edit', async () => {
    await save().expect(200);
    const { body } = await save({ groups: [] }).expect(409);
    expect(body).toMatchObject({ theirs: { version: 1 }, yours: { groups: [] } });
    expect((await learned()).groups).toHaveLength(1);
  });

  it('stays within bounds, of groups that are known', async () => {
    await save({ groups: [{ ...traits(), search: 9 }] }).expect(422);
    await save({ groups: [{ ...traits(), groupId: uuidv7() }] }).expect(422);
    expect((await learned()).version).toBe(0);
  });
});

describe('what a group was seen to eat', () => {
  const eats = async (id: string) => {
    const { body } = await ours.ask.get('/api/groups').expect(200);
    return (body.items as { id: string; eats: string[] }[]).find((one) => one.id === id)!.eats;
  };
  const see = (over: object) => add({ came: [], ...over }).expect(201);

  it('is what was gone where it lives alone, from then on, until that is taken back', async () => {
    expect(await eats(ours.group.id)).toEqual([]);
    const { body } = await see({ clearedMin: 5, left: null });
    expect(await eats(ours.group.id)).toEqual([ours.food.id]);
    await ours.ask.post(`/api/sightings/${body.id}/undo`).send({ id: uuidv7() }).expect(201);
    expect(await eats(ours.group.id)).toEqual([]);
  });

  it('is not what was left, nor what tank-mates may have eaten', async () => {
    await see({ clearedMin: null, left: 1 });
    expect(await eats(ours.group.id)).toEqual([]);
    const mates = sampleGroup(ours.tank.id, { name: 'Mates' });
    await ours.ask.post('/api/groups').send(mates).expect(201);
    await see({ clearedMin: 5, left: null });
    expect(await eats(ours.group.id)).toEqual([]);
    await see({ clearedMin: 5, left: null, came: [{ groupId: ours.group.id, share: 1 }] });
    expect(await eats(ours.group.id)).toEqual([ours.food.id]);
    expect(await eats(mates.id)).toEqual([]);
  });
});
