import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleSplit, sampleTank } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let tankId: string;
let otherTankId: string;
beforeAll(async () => {
  server = await startTestServer();
  [tankId, otherTankId] = await Promise.all([makeTank('Here'), makeTank('There')]);
});
afterAll(() => server.close());

const ask = () => server.as('ours');
async function makeTank(name: string): Promise<string> {
  const tank = sampleTank({ name });
  await ask().post('/api/tanks').send(tank).expect(201);
  return tank.id;
}
const make = async (over: object = {}) =>
  (await ask().post('/api/groups').send(sampleGroup(tankId, over)).expect(201)).body;
const logEvents = (groupId: string, event: object) =>
  ask()
    .post(`/api/groups/${groupId}/events`)
    .send({ id: uuidv7(), day: '2026-03-05', ...event });
const on = async (groupId: string, day: string) => {
  const { body } = await ask().get(`/api/groups?day=${day}`).expect(200);
  return body.items.find((one: { id: string }) => one.id === groupId);
};
const events = async (groupId: string) =>
  (await ask().get(`/api/groups/${groupId}/events`).expect(200)).body.items as {
    id: string;
    kind: string;
    withdrawn: boolean;
  }[];
const withdraw = (eventId: string, replacement: object | null = null) =>
  ask().post(`/api/group-events/${eventId}/withdrawal`).send({ id: uuidv7(), replacement });
const fish = (unsexed: number, males = 0, females = 0) => ({ unsexed, males, females });

describe('the life of a group', () => {
  it('adds up what was born, sold, given and lost, and keeps cause and note', async () => {
    const group = await make({ ...fish(10), day: '2026-03-01' });
    await logEvents(group.id, { kind: 'born', ...fish(8) }).expect(201);
    await logEvents(group.id, { kind: 'sold', ...fish(3), note: 'to the club' }).expect(201);
    await logEvents(group.id, { kind: 'given', ...fish(2) }).expect(201);
    const after = await logEvents(group.id, { kind: 'died', ...fish(1), cause: 'jumped' }).expect(
      201,
    );
    expect(after.body.size.total).toBe(12);
    const report = await events(group.id);
    expect(report).toContainEqual(expect.objectContaining({ kind: 'died', cause: 'jumped' }));
    expect(report).toContainEqual(expect.objectContaining({ kind: 'sold', note: 'to the club' }));
    await logEvents(group.id, { kind: 'died', ...fish(1), cause: 'boredom' }).expect(422);
  });

  it('can be read back on any past day, in the tank where it then was', async () => {
    const group = await make({ ...fish(10), day: '2026-03-01', stage: 'juvenile' });
    await logEvents(group.id, { kind: 'moved', tankId: otherTankId, day: '2026-03-04' }).expect(
      201,
    );
    await logEvents(group.id, { kind: 'died', ...fish(4), day: '2026-03-06' }).expect(201);
    await logEvents(group.id, { kind: 'staged', stage: 'adult', day: '2026-03-08' }).expect(201);
    expect(await on(group.id, '2026-02-28')).toBeUndefined();
    expect(await on(group.id, '2026-03-03')).toMatchObject({ tankId, stage: 'juvenile' });
    expect(await on(group.id, '2026-03-05')).toMatchObject({
      tankId: otherTankId,
      size: { total: 10 },
    });
    expect(await on(group.id, '2026-03-09')).toMatchObject({ stage: 'adult', size: { total: 6 } });
  });

  it('is never in two places: moves are put between those that are there already', async () => {
    const group = await make({ day: '2026-03-01' });
    await logEvents(group.id, { kind: 'moved', tankId: otherTankId, day: '2026-03-08' }).expect(
      201,
    );
    await logEvents(group.id, { kind: 'moved', tankId: otherTankId, day: '2026-03-03' }).expect(
      201,
    );
    const stays = await server.scope('ours').rows<{ tankId: string; days: string }>(
      `SELECT tank_id, during::text AS days FROM stays
        WHERE household_id = :household AND group_id = :id ORDER BY lower(during)`,
      { id: group.id },
    );
    expect(stays).toEqual([
      { tankId, days: '[2026-03-01,2026-03-03)' },
      { tankId: otherTankId, days: '[2026-03-03,)' },
    ]);
    await logEvents(group.id, { kind: 'moved', tankId: uuidv7() }).expect(404);
  });

  it('refuses an edit of the past that a later event cannot bear, and names that event', async () => {
    const group = await make({ ...fish(10), day: '2026-03-01' });
    await logEvents(group.id, { kind: 'sold', ...fish(9), day: '2026-03-08' }).expect(201);
    const early = await logEvents(group.id, { kind: 'died', ...fish(2), day: '2026-03-03' }).expect(
      422,
    );
    expect(early.body.detail).toMatch(/the sale of 9 not sexed on 8 Mar 2026: only 8 not sexed/);
    const arrived = (await events(group.id)).find((event) => event.kind === 'arrived')!;
    const gone = await withdraw(arrived.id).expect(422);
    expect(gone.body.detail).toMatch(/the sale of 9 not sexed on 8 Mar 2026: only none were there/);
    const fewer = { id: uuidv7(), day: '2026-03-01', kind: 'arrived', ...fish(9) };
    expect((await withdraw(arrived.id, fewer).expect(201)).body.size.total).toBe(0);
  });

  it('takes an event back once, keeps it in sight, and counts without it', async () => {
    const group = await make(fish(10));
    await logEvents(group.id, { kind: 'died', ...fish(3) }).expect(201);
    const died = (await events(group.id)).find((event) => event.kind === 'died')!;
    expect((await withdraw(died.id).expect(201)).body.size.total).toBe(10);
    expect((await events(group.id)).find((event) => event.id === died.id)?.withdrawn).toBe(true);
    await withdraw(died.id).expect(409);
    await withdraw(uuidv7()).expect(404);
  });

  it('never leaves a group nowhere', async () => {
    const group = await make();
    const moved = (await events(group.id)).find((event) => event.kind === 'moved')!;
    await withdraw(moved.id).expect(422);
    const later = { id: uuidv7(), day: '2026-03-04', kind: 'moved', tankId };
    expect((await withdraw(moved.id, later).expect(422)).body.detail).toMatch(/in no tank yet/);
  });

  it('asks about a length past what the species grows to, and takes it when confirmed', async () => {
    const group = await make();
    const long = { kind: 'measured', lengthCm: 7 };
    const { body } = await logEvents(group.id, long).expect(422);
    expect(body.errors[0]).toMatchObject({ path: 'confirmed' });
    expect(body.detail).toMatch(/Zebrafish grow to about 4 cm. Is 7 cm right/);
    const taken = await logEvents(group.id, { ...long, confirmed: true });
    expect(taken.body).toMatchObject({ lengthCm: 7 });
    const fresh = sampleGroup(tankId, { lengthCm: 7 });
    await ask().post('/api/groups').send(fresh).expect(422);
    await ask()
      .post('/api/groups')
      .send({ ...fresh, confirmed: true })
      .expect(201);
  });
});

describe('splitting, setting apart and merging', () => {
  it('moves fish from one group to a new one, and nothing is lost', async () => {
    const group = await make({ ...fish(10), lengthCm: 3, stage: 'juvenile' });
    const split = sampleSplit(otherTankId, fish(4));
    const { body } = await ask().post(`/api/groups/${group.id}/split`).send(split).expect(201);
    expect(body).toMatchObject({
      tankId: otherTankId,
      stage: 'juvenile',
      lengthCm: 3,
      size: { total: 4 },
    });
    await ask().post(`/api/groups/${group.id}/split`).send(split).expect(201);
    expect((await on(group.id, '2026-03-10')).size.total).toBe(6);
    const apart = sampleSplit(tankId, { ...fish(1), apart: true });
    const { body: ill } = await ask().post(`/api/groups/${group.id}/split`).send(apart).expect(201);
    expect(ill.stage).toBe('quarantine');
  });

  it('refuses to part more than there are, and writes nothing of it', async () => {
    const group = await make(fish(3));
    const before = [await count(server.db, 'groups'), await count(server.db, 'group_events')];
    const split = sampleSplit(otherTankId, fish(4));
    await ask().post(`/api/groups/${group.id}/split`).send(split).expect(422);
    expect([await count(server.db, 'groups'), await count(server.db, 'group_events')]).toEqual(
      before,
    );
  });

  it('a split taken back brings the fish home, and ends what it made', async () => {
    const group = await make(fish(10));
    const split = sampleSplit(otherTankId, fish(4));
    await ask().post(`/api/groups/${group.id}/split`).send(split).expect(201);
    const joined = (await events(split.id)).find((event) => event.kind === 'joined')!;
    await withdraw(joined.id).expect(201);
    expect((await on(group.id, '2026-03-10')).size.total).toBe(10);
    expect(await on(split.id, '2026-03-10')).toMatchObject({ archived: true, size: { total: 0 } });
  });

  it('a merger puts all into the other group and ends this one; taken back, both live on', async () => {
    const [one, other] = [await make(fish(4)), await make(fish(6))];
    const merge = { id: uuidv7(), intoGroupId: other.id, day: '2026-03-06' };
    for (let sent = 0; sent < 2; sent += 1) {
      const { body } = await ask().post(`/api/groups/${one.id}/merge`).send(merge).expect(201);
      expect(body.size.total).toBe(10);
    }
    expect(await on(one.id, '2026-03-10')).toMatchObject({ archived: true, size: { total: 0 } });
    await withdraw(merge.id).expect(201);
    expect(await on(one.id, '2026-03-10')).toMatchObject({ archived: false, size: { total: 4 } });
    expect((await on(other.id, '2026-03-10')).size.total).toBe(6);
  });

  it('only groups of one species become one, and none with itself', async () => {
    const [one, other] = [await make(), await make({ speciesKey: 'danio-kyathit' })];
    const merge = (intoGroupId: string) =>
      ask()
        .post(`/api/groups/${one.id}/merge`)
        .send({ id: uuidv7(), intoGroupId, day: '2026-03-06' });
    await merge(other.id).expect(422);
    await merge(one.id).expect(422);
    await merge(uuidv7()).expect(404);
  });
});

describe('moving several groups at once', () => {
  it('moves all or none', async () => {
    const groups = [await make(), await make(), await make({ day: '2026-03-08' })];
    const move = (day: string) =>
      ask()
        .post('/api/moves')
        .send({
          id: uuidv7(),
          tankId: otherTankId,
          day,
          moves: groups.map(({ id }) => ({ id: uuidv7(), groupId: id })),
        });
    await move('2026-03-05').expect(422);
    expect((await on(groups[0].id, '2026-03-10')).tankId).toBe(tankId);
    expect((await move('2026-03-09').expect(201)).body.moved).toBe(3);
    for (const { id } of groups) expect((await on(id, '2026-03-10')).tankId).toBe(otherTankId);
  });
});
