import type { VesselRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleVessel, sampleVesselEvent, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
let vessel: ReturnType<typeof sampleVessel>;
const TODAY = '2026-03-10';
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  server.clock.at = new Date(`${TODAY}T12:00:00Z`);
  house = await smallHouse(server);
  vessel = sampleVessel();
});
afterAll(() => server.close());

const start = (over: object = {}) => house.ask.post('/api/vessels').send({ ...vessel, ...over });
const logEvent = (over: object = {}, id = vessel.id) =>
  house.ask.post(`/api/vessels/${id}/events`).send(sampleVesselEvent(over));
const undo = (id: string) =>
  house.ask
    .post(`/api/vessel-events/${id}/undo`)
    .send({ id: uuidv7(), at: `${TODAY}T12:00:00.000Z` });
const read = async (id = vessel.id): Promise<VesselRow> => {
  const { body } = await house.ask.get('/api/vessels?limit=500').expect(200);
  return body.items.find((one: VesselRow) => one.id === id);
};
const refusal = async (body: object): Promise<string> =>
  (await house.ask.post('/api/vessels').send(body).expect(422)).body.errors[0].message;
const shelfG = async (): Promise<number> => {
  const { body } = await house.ask.get('/api/foods?limit=500').expect(200);
  return body.items.find((one: { id: string }) => one.id === house.food.id).remainingG;
};

describe('a culture', () => {
  it('stands as its kind has grown since it was started, sent twice as once', async () => {
    const { body } = await start().expect(201);
    await start().expect(201);
    expect(body).toMatchObject({ id: vessel.id, kindKey: 'moina', version: 1 });
    expect(body.status).toMatchObject({ state: 'giving', ageDays: 10, tempC: 24 });
    expect(body.status.lowG).toBeLessThan(body.status.contentG);
    expect(body.work.map(({ what }: { what: string }) => what)).toContain('feed');
  });

  it('is believed from what is seen of it, and taken back it is as before', async () => {
    const { body: before } = await start().expect(201);
    const seen = { id: uuidv7(), kind: 'seen', density: 1, clarity: 'clear' };
    const { body: after } = await logEvent(seen).expect(201);
    await logEvent(seen).expect(201);
    expect(after.status.contentG).toBeLessThan(before.status.contentG * 0.6);
    expect(after.status).toMatchObject({ unseenDays: 0, clarity: { seen: 'clear', days: 0 } });
    const { body: back } = await undo(seen.id).expect(201);
    await undo(seen.id).expect(201);
    expect(back.status.contentG).toBeCloseTo(before.status.contentG, 6);
    // A late copy of the first message is answered as it was, and does not say it again.
    await logEvent(seen).expect(201);
    expect((await read()).status.contentG).toBeCloseTo(before.status.contentG, 6);
  });

  it('that was going already is what it looks like, and cannot be entered before its start', async () => {
    const looks = { day: TODAY, density: 2, clarity: null };
    expect(await refusal({ ...vessel, looks: { ...looks, day: '2020-01-01' } })).toMatch(
      /started before you looked at it/,
    );
    const { body } = await start({ looks }).expect(201);
    await start({ looks }).expect(201);
    // A tenth of what it carries, whatever ten days of growth would have made of it.
    expect(body.status.fullness).toBeGreaterThan(0.07);
    expect(body.status.fullness).toBeLessThan(0.14);
    const { body: events } = await house.ask.get(`/api/vessels/${vessel.id}/events`).expect(200);
    expect(events.items.map(({ kind }: { kind: string }) => kind)).toEqual(['seen']);
  });

  it('gives what is harvested to the shelf, good for a day', async () => {
    await start({ foodId: house.food.id }).expect(201);
    const before = await shelfG();
    const id = uuidv7();
    const { body } = await logEvent({ id, kind: 'harvested', massG: 2, by: 'spoon', amount: 2.5 });
    expect(body.status.contentG).toBeGreaterThan(0);
    expect(await shelfG()).toBeCloseTo(before + 2, 6);
    await undo(id).expect(201);
    expect(await shelfG()).toBeCloseTo(before, 6);
  });

  it('gives a meal what the shelf lacks, and has it back when the meal is taken back', async () => {
    await house.ask
      .post(`/api/lots/${house.food.lot.id}/counts`)
      .send({ id: uuidv7(), day: TODAY, remainingG: 0.1 })
      .expect(201);
    await start({ foodId: house.food.id }).expect(201);
    const full = (await read()).status.contentG;
    const meal = sampleFeeding(house, { units: 20 });
    const { body } = await house.ask.post('/api/feedings').send(meal).expect(201);
    expect(body.shortG).toBe(0);
    expect(await shelfG()).toBeCloseTo(0, 6);
    const events = await house.ask.get(`/api/vessels/${vessel.id}/events`).expect(200);
    const drawn = events.body.items[0];
    expect(drawn).toMatchObject({ kind: 'harvested', feedingId: meal.id });
    // Nothing is lost or made: what was fed is what the shelf and the vessel gave.
    expect(drawn.massG + 0.1).toBeCloseTo(body.feeding.massG, 6);
    expect((await read()).status.contentG).toBeLessThan(full);
    const refused = await undo(drawn.id).expect(409);
    expect(refused.body.detail).toContain('Undo that meal');
    await house.ask
      .post(`/api/feedings/${meal.id}/undo`)
      .send({ id: uuidv7(), at: meal.at })
      .expect(201);
    expect((await read()).status.contentG).toBeCloseTo(full, 6);
    expect(await shelfG()).toBeCloseTo(0.1, 6);
  });

  it('that crashed gives nothing, until it is set up again', async () => {
    await start({ foodId: house.food.id }).expect(201);
    const { body: crashed } = await logEvent({ kind: 'crashed' }).expect(201);
    expect(crashed.status).toMatchObject({ state: 'crashed', contentG: 0, givesG: 0 });
    expect(crashed.work).toMatchObject([{ what: 'restart', urgent: true }]);
    await house.ask
      .post(`/api/lots/${house.food.lot.id}/counts`)
      .send({ id: uuidv7(), day: TODAY, remainingG: 0 })
      .expect(201);
    const fed = () =>
      house.ask.post('/api/feedings').send(sampleFeeding(house, { servingId: uuidv7() }));
    expect((await fed().expect(201)).body.shortG).toBeGreaterThan(0);
    const { body } = await logEvent({ kind: 'restarted', massG: 0.05 }).expect(201);
    expect(body.status).toMatchObject({ ageDays: 0, state: 'building' });
    expect((await fed().expect(201)).body.shortG).toBe(0);
  });

  it('is not bought where a vessel gives it', async () => {
    const ofFood = async () => {
      const { body } = await house.ask.get('/api/larder/supply').expect(200);
      return body.foods.find((one: { foodId: string }) => one.foodId === house.food.id);
    };
    expect(await ofFood()).toMatchObject({ cultured: false });
    await start({ foodId: house.food.id }).expect(201);
    expect(await ofFood()).toMatchObject({ cultured: true, days: null, buy: null });
    await logEvent({ kind: 'ended' }).expect(201);
    expect(await ofFood()).toMatchObject({ cultured: false });
  });

  it('started from another takes its share from it, and knows its parent', async () => {
    await start().expect(201);
    const before = (await read()).status.contentG;
    const child = sampleVessel({ startedOn: TODAY, fromVesselId: vessel.id, share: 0.5 });
    await house.ask.post('/api/vessels').send(child).expect(201);
    await house.ask.post('/api/vessels').send(child).expect(201);
    expect((await read()).status.contentG).toBeCloseTo(before / 2, 1);
    expect((await read(child.id)).fromVesselId).toBe(vessel.id);
    const older = { ...child, id: uuidv7(), startedOn: '2026-02-01' };
    const { body } = await house.ask.post('/api/vessels').send(older).expect(422);
    expect(body.errors[0].path).toBe('startedOn');
    const other = { ...child, id: uuidv7(), kindKey: 'rotifers' };
    expect(await refusal(other)).toContain('of another kind');
    await logEvent({ kind: 'ended', day: '2026-03-05' }).expect(201);
    expect(await refusal({ ...child, id: uuidv7() })).toContain('ended on 5 Mar 2026');
  });

  it('is corrected by whoever saw it last, and ended no event follows', async () => {
    await start().expect(201);
    const edit = { ...vessel, name: 'Moina, shelf', version: 1 };
    const { body } = await house.ask.put(`/api/vessels/${vessel.id}`).send(edit).expect(200);
    expect(body).toMatchObject({ name: 'Moina, shelf', version: 2 });
    const other = { ...edit, place: 'cellar' };
    await house.ask.put(`/api/vessels/${vessel.id}`).send(other).expect(409);
    const end = { id: uuidv7(), kind: 'ended' };
    expect((await logEvent(end).expect(201)).body.status.state).toBe('ended');
    expect((await logEvent().expect(422)).body.errors[0].message).toContain('ended on');
    await undo(end.id).expect(201);
    await logEvent().expect(201);
  });

  it('learns how well eggs hatch from the jars that were counted', async () => {
    await start({ kindKey: 'brine-shrimp', measure: 1, startG: 1 }).expect(201);
    const count = 100_000;
    const { body } = await logEvent({
      kind: 'harvested',
      massG: 1,
      by: 'g',
      amount: 1,
      count,
    }).expect(201);
    // One jar of 40 % against two of the usual 75 %.
    expect(body.hatch).toEqual({ share: (0.4 + 1.5) / 3, jars: 1 });
  });

  it.each([
    ['a kind that there is not', { kindKey: 'unicorns' }, 'kindKey'],
    ['no size', { measure: 0 }, 'measure'],
    ['boiling water', { tempC: 100 }, 'tempC'],
    ['a day to come', { startedOn: '2026-05-01' }, 'startedOn'],
    ['a food of nobody', { foodId: uuidv7() }, 'foodId'],
    ['a parent of nobody', { fromVesselId: uuidv7(), share: 0.5 }, 'fromVesselId'],
    ['a share of nothing', { share: 0.5 }, 'fromVesselId'],
    ['itself as the second kind', { alsoKindKey: 'moina' }, 'alsoKindKey'],
  ])('with %s is refused in words', async (_, over, path) => {
    const { body } = await start(over).expect(422);
    expect(body.errors[0].path).toMatch(path === 'startedOn' ? /startedOn|day/ : path);
    expect(body.errors[0].message.length).toBeGreaterThan(8);
  });

  it.each([
    ['before its start', { day: '2026-02-01' }, 'day'],
    ['of tomorrow’s tomorrow', { day: '2026-03-12' }, 'day'],
    ['a harvest of nothing', { kind: 'harvested', massG: 0, by: 'g', amount: 1, count: null }, 'massG'], // prettier-ignore
    ['seen, and nothing said', { kind: 'seen', density: null, clarity: null }, 'density'],
    ['a sixth density', { kind: 'seen', density: 6, clarity: null }, 'density'],
    ['half an animal', { kind: 'counted', count: 0.5, sampleMl: 5 }, 'count'],
  ])('an event %s is refused in words', async (_, over, path) => {
    await start().expect(201);
    const { body } = await logEvent(over).expect(422);
    expect(body.errors[0].path).toBe(path);
    expect(body.errors[0].message.length).toBeGreaterThan(8);
  });
});
