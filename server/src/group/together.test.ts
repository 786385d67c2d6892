import { v7 as uuidv7 } from 'uuid';
import {
  sampleGroup,
  sampleSpecies,
  sampleSplit,
  sampleTank,
  smallHouse,
} from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const DAY = '2026-03-10';
const fish = (unsexed: number) => ({ males: 0, females: 0, unsexed });
const roundOf = async (ask: ReturnType<TestServer['as']>, day: string) =>
  (await ask.get(`/api/round/${day}`).expect(200)).body;
const stopsOf = (round: { moments: { stops: { tankId: string }[] }[] }) =>
  round.moments.flatMap((moment) => moment.stops.map((stop) => stop.tankId));

describe('two phones at once', () => {
  it('take the same event back: one does, one is told, and it counts once', async () => {
    const { ask, group } = await smallHouse(server);
    const event = { id: uuidv7(), day: '2026-03-05', kind: 'born', ...fish(3) };
    await ask.post(`/api/groups/${group.id}/events`).send(event).expect(201);
    const answers = await Promise.all(
      [1, 2].map(() =>
        ask
          .post(`/api/group-events/${event.id}/withdrawal`)
          .send({ id: uuidv7(), replacement: null }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409]);
    const [after] = (await ask.get('/api/groups').expect(200)).body.items;
    expect(after.size.total).toBe(10);
    expect(await count(server.db, 'group_event_withdrawals')).toBe(1);
  });

  it('sell the last fish twice: only one of them can', async () => {
    const { ask, tank } = await smallHouse(server);
    const group = sampleGroup(tank.id, fish(5));
    await ask.post('/api/groups').send(group).expect(201);
    const sell = () =>
      ask
        .post(`/api/groups/${group.id}/events`)
        .send({ id: uuidv7(), day: '2026-03-06', kind: 'sold', ...fish(5) });
    const answers = await Promise.all([sell(), sell()]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 422]);
  });

  it('split a group at once: together never more than there were', async () => {
    const { ask, tank } = await smallHouse(server);
    const group = sampleGroup(tank.id, fish(10));
    await ask.post('/api/groups').send(group).expect(201);
    const split = () =>
      ask.post(`/api/groups/${group.id}/split`).send(sampleSplit(tank.id, fish(6)));
    const answers = await Promise.all([split(), split()]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 422]);
    const { items } = (await ask.get('/api/groups').expect(200)).body;
    const total = items
      .filter((one: { speciesKey: string }) => one.speciesKey === group.speciesKey)
      .reduce((sum: number, one: { size: { total: number } }) => sum + one.size.total, 0);
    // Ten of this test, and the ten that the small house began with.
    expect(total).toBe(20);
  });

  it('move a group to two tanks on one day: it is in one of them', async () => {
    const { ask, group } = await smallHouse(server);
    const there = [sampleTank({ name: 'A' }), sampleTank({ name: 'B' })];
    for (const tank of there) await ask.post('/api/tanks').send(tank).expect(201);
    const answers = await Promise.all(
      there.map((tank) =>
        ask.post('/api/moves').send({
          id: uuidv7(),
          tankId: tank.id,
          day: '2026-03-07',
          moves: [{ id: uuidv7(), groupId: group.id }],
        }),
      ),
    );
    expect(answers.map((answer) => answer.status)).toEqual([201, 201]);
    const stays = await server.scope('ours').rows<{ tankId: string }>(
      `SELECT tank_id FROM stays WHERE household_id = :household AND group_id = :id
          AND during @> '2026-03-08'::date`,
      { id: group.id },
    );
    expect(stays).toHaveLength(1);
    expect(there.map((tank) => tank.id)).toContain(stays[0]?.tankId);
  });
});

describe('what follows a group', () => {
  it('its servings go with it to another tank, and its past days stay where they were', async () => {
    const { ask, tank, group } = await smallHouse(server);
    const other = sampleTank({ name: 'Other', tempC: 29, walkOrder: 2 });
    await ask.post('/api/tanks').send(other).expect(201);
    const before = await roundOf(ask, DAY);
    expect(stopsOf(before)).toEqual([tank.id]);
    await ask
      .post(`/api/groups/${group.id}/events`)
      .send({ id: uuidv7(), day: DAY, kind: 'moved', tankId: other.id })
      .expect(201);
    const after = await roundOf(ask, DAY);
    expect(stopsOf(after)).toEqual([other.id]);
    const earlier = (await ask.get('/api/groups?day=2026-03-09').expect(200)).body.items[0];
    expect(earlier.tankId).toBe(tank.id);
  });

  it('fewer fish need less, on the day that they are fewer and not before', async () => {
    const { ask, group } = await smallHouse(server);
    const need = async () => {
      const { body } = await ask
        .get(`/api/records/consumption?from=2026-03-08&to=${DAY}`)
        .expect(200);
      return body.groups[0].neededPerDay as number[];
    };
    const [first] = await need();
    await ask
      .post(`/api/groups/${group.id}/events`)
      .send({ id: uuidv7(), day: '2026-03-09', kind: 'given', males: 2, females: 3, unsexed: 0 })
      .expect(201);
    const after = await need();
    expect(after[0]).toBeCloseTo(first as number, 9);
    expect(after[1]).toBeCloseTo((first as number) / 2, 9);
    expect(after[2]).toBeCloseTo((first as number) / 2, 9);
  });

  it('a species of one’s own decides its need, and a change of it follows at once', async () => {
    const { ask, group } = await smallHouse(server);
    const own = sampleSpecies({ shape: 'elongated' });
    await ask.post('/api/species').send(own).expect(201);
    const { body: row } = await ask
      .put(`/api/groups/${group.id}`)
      .send({ name: 'Mine', speciesKey: `own-${own.id}`, version: 1, archived: false })
      .expect(200);
    expect(row.speciesKey).toBe(`own-${own.id}`);
    const mass = async () => (await roundOf(ask, DAY)).moments[0].stops[0].servings[0].massG;
    const slim = await mass();
    await ask
      .put(`/api/species/${own.id}`)
      .send({ version: 1, archived: false, entry: { ...own.entry, lwA: 0.05, lwB: 3 } })
      .expect(200);
    expect(await mass()).toBeGreaterThan(slim * 2);
  });

  it('of a species put away goes on as it was', async () => {
    const { ask, group } = await smallHouse(server);
    const own = sampleSpecies();
    await ask.post('/api/species').send(own).expect(201);
    await ask
      .put(`/api/groups/${group.id}`)
      .send({ name: 'Mine', speciesKey: `own-${own.id}`, version: 1, archived: false })
      .expect(200);
    await ask
      .put(`/api/species/${own.id}`)
      .send({ version: 1, archived: true, entry: own.entry })
      .expect(200);
    expect(stopsOf(await roundOf(ask, DAY))).toHaveLength(1);
  });
});
