import type { TrialRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleTrial, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
let other: ReturnType<typeof sampleGroup>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  house = await smallHouse(server);
  other = sampleGroup(house.tank.id, { name: 'On worms', unsexed: 20 });
  await house.ask.post('/api/groups').send(other).expect(201);
});
afterAll(() => server.close());

const plan = (over: object = {}) => sampleTrial(house.group.id, other.id, over);
const create = (over: object = {}) => house.ask.post('/api/trials').send(plan(over));
const list = async (): Promise<TrialRow[]> =>
  (await house.ask.get('/api/trials').expect(200)).body.items.filter(
    ({ groupId }: TrialRow) => groupId === house.group.id,
  );
const measure = (groupId: string, day: string, lengthsCm: number[]) =>
  house.ask
    .post(`/api/groups/${groupId}/events`)
    .send({
      id: uuidv7(),
      kind: 'measured',
      day,
      lengthsCm,
      lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
    })
    .expect(201);
const around = (mean: number) => [-0.2, -0.1, 0, 0.1, 0.2].map((off) => mean + off);
const edit = (trial: TrialRow, over: object = {}) => {
  const { name, from, changedOn, weeks, difference, tubsEach, note, version } = trial;
  const said = { name, from, changedOn, weeks, difference, tubsEach, note, version };
  return house.ask
    .put(`/api/trials/${trial.id}`)
    .send({ ...said, endedOn: trial.endedOn, archived: trial.archived, ...over });
};

describe('a trial on siblings', () => {
  it('is planned with the fish that it takes, once', async () => {
    const trial = plan();
    await house.ask.post('/api/trials').send(trial).expect(201);
    await house.ask.post('/api/trials').send(trial).expect(201);
    const [row, ...more] = await list();
    expect(more).toEqual([]);
    expect(row).toMatchObject({
      name: 'Worms against flake',
      groupName: 'Danios',
      otherGroupName: 'On worms',
      tubsEach: 1,
      version: 1,
      status: { result: { refused: 'unmeasured' }, sides: [{ count: 10 }, { count: 30 }] },
    });
    expect(row!.status!.needed.some(({ weeks }) => weeks === 8)).toBe(true);
  });

  it('shows what was measured, with its interval', async () => {
    await create().expect(201);
    await measure(house.group.id, '2026-03-08', around(3.2));
    await measure(other.id, '2026-03-08', around(3.9));
    const [row] = await list();
    expect(row!.status!.result).toMatchObject({ says: 'more' });
    expect(row!.status!.sides.map(({ last }) => last!.n)).toEqual([5, 5]);
  });

  it('ended stands as it stood', async () => {
    await create().expect(201);
    const [row] = await list();
    const { body } = await edit(row!, { endedOn: '2026-03-09' }).expect(200);
    expect(body).toMatchObject({ endedOn: '2026-03-09', version: 2 });
    await measure(house.group.id, '2026-03-10', around(3.2));
    await measure(other.id, '2026-03-10', around(3.9));
    expect((await list())[0]!.status!.result).toHaveProperty('refused');
    const stale = await edit(row!, { name: 'late' }).expect(409);
    expect(stale.body.type).toContain('stale');
  });

  it.each([
    ['another side that is the same', { otherGroupId: 'same' }],
    ['no other side', { otherGroupId: null }],
    ['a change of diet', { changedOn: '2026-03-08' }],
    ['no weeks', { weeks: 0 }],
    ['no difference', { difference: 0 }],
    ['no name', { name: ' ' }],
  ])('is refused with %s', async (_, over) => {
    const said = 'otherGroupId' in over && over.otherGroupId === 'same';
    const { body } = await create(said ? { otherGroupId: house.group.id } : over).expect(422);
    expect(body.errors[0].message.length).toBeGreaterThan(5);
    expect(await list()).toEqual([]);
  });

  it('of a group that is not here is not found', async () => {
    await create({ otherGroupId: uuidv7() }).expect(404);
  });
});

describe('a trial in one tank', () => {
  const tank = { kind: 'tank', otherGroupId: null, from: '2026-03-02', changedOn: '2026-03-05' };

  it('sets after against before', async () => {
    await create(tank).expect(201);
    await measure(house.group.id, '2026-03-02', around(3.1));
    await measure(house.group.id, '2026-03-05', around(3.12));
    await measure(house.group.id, '2026-03-10', around(3.4));
    const [row] = await list();
    expect(row!.otherGroupName).toBeNull();
    expect(row!.status!.result).toHaveProperty('before');
  });

  it('needs the day of its change, after its beginning, when it is edited too', async () => {
    await create({ ...tank, changedOn: null }).expect(422);
    await create({ ...tank, changedOn: '2026-03-02' }).expect(422);
    await create(tank).expect(201);
    const [row] = await list();
    await edit(row!, { changedOn: null }).expect(422);
    await edit(row!, { from: '2026-03-06' }).expect(422);
    await edit(row!, { endedOn: '2026-03-01' }).expect(422);
    await edit(row!, { changedOn: '2026-03-06', archived: true }).expect(200);
    expect((await list())[0]).toMatchObject({ changedOn: '2026-03-06', archived: true });
  });
});
