import type { RoundServingView, RoundStopView, RoundView } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleFood, sampleTraining, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
let worms: ReturnType<typeof sampleFood>;
let training: ReturnType<typeof sampleTraining>;
const TODAY = '2026-03-10';
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  server.clock.at = new Date(`${TODAY}T12:00:00Z`);
  house = await smallHouse(server);
  worms = sampleFood({ name: 'Worms', family: 'wriggle' });
  await house.ask.post('/api/foods').send(worms).expect(201);
  training = sampleTraining(house, worms.id);
});
afterAll(() => server.close());

const begin = (over: object = {}) =>
  house.ask.post('/api/trainings').send({ ...training, ...over });
const end = (kept: boolean) =>
  house.ask
    .post(`/api/trainings/${training.id}/end`)
    .send({ id: uuidv7(), kept, at: `${TODAY}T12:00:00.000Z` });
const group = async () => {
  const { body } = await house.ask.get('/api/groups').expect(200);
  return body.items.find((one: { id: string }) => one.id === house.group.id);
};
const roundOn = async (day: string): Promise<RoundServingView[]> => {
  const { body } = await house.ask.get(`/api/round/${day}`).expect(200);
  return (body as RoundView).moments
    .flatMap(({ stops }): RoundStopView[] => stops)
    .flatMap(({ servings }) => servings)
    .filter(({ groupId }) => groupId === house.group.id);
};
const offer = (day: string, outcome: string) =>
  house.ask
    .post('/api/feedings')
    .send(
      sampleFeeding(house, { servingId: training.id, foodId: worms.id, day, outcome, units: 1 }),
    )
    .expect(201);

describe('a training', () => {
  it('puts a little of the new food among the known one, and says so', async () => {
    const before = (await roundOn(TODAY))[0]!;
    const { body } = await begin().expect(201);
    expect(body.training).toEqual({
      id: training.id,
      servingId: house.serving.id,
      foodId: worms.id,
      step: 1,
      share: 0.1,
      offers: 0,
      ends: null,
    });
    const [known, fresh] = await roundOn(TODAY);
    expect(known).toMatchObject({
      foodName: 'Fine flake',
      mixed: { role: 'known', step: 1, of: 5 },
    });
    expect(fresh).toMatchObject({
      servingId: training.id,
      foodName: 'Worms',
      mixed: { role: 'new', step: 1, of: 5, share: 0.1 },
    });
    expect(known!.massG / known!.ofWanted).toBeCloseTo((before.massG / before.ofWanted) * 0.9, 6);
    const why = await house.ask.get(`/api/round/${TODAY}/why/${training.id}`).expect(200);
    expect(JSON.stringify(why.body)).toContain('Step of the training');
  });

  it('goes by what becomes of the meals, from the next day on', async () => {
    await begin().expect(201);
    const days = [0, 1, 2].map((ahead) => addDays(TODAY, ahead));
    for (const day of days) {
      server.clock.at = new Date(`${day}T18:00:00Z`);
      await offer(day, day === days[2] ? 'refused' : 'served');
    }
    const stepOn = async (day: string) => (await roundOn(day)).at(-1)!.mixed!.step;
    expect(await stepOn(days[1]!)).toBe(1);
    expect(await stepOn(days[2]!)).toBe(2);
    expect((await group()).training).toMatchObject({ step: 2, offers: 2 });
    server.clock.at = new Date(`${addDays(TODAY, 3)}T08:00:00Z`);
    expect((await group()).training).toMatchObject({ step: 2, offers: 3 });
  });

  it('forgets a meal that is taken back', async () => {
    await begin().expect(201);
    const { body } = await offer(TODAY, 'served');
    server.clock.at = new Date(`${addDays(TODAY, 1)}T08:00:00Z`);
    expect((await group()).training.offers).toBe(1);
    await house.ask
      .post(`/api/feedings/${body.feeding.id}/undo`)
      .send({ id: uuidv7(), at: `${TODAY}T12:00:00.000Z` })
      .expect(201);
    expect((await group()).training.offers).toBe(0);
  });

  it('stands in the records at the moment of its meal', async () => {
    await begin().expect(201);
    await offer(TODAY, 'served');
    const { body } = await house.ask
      .get(`/api/records/served?from=${TODAY}&to=${TODAY}`)
      .expect(200);
    const names = body.moments.map(({ name }: { name: string }) => name);
    expect(names).toContain('After work');
    expect(names).not.toContain('Beside the plan');
  });

  it('sent twice is begun once; a second one waits for its end', async () => {
    await begin().expect(201);
    await begin().expect(201);
    const { body } = await begin({ id: uuidv7() }).expect(409);
    expect(body.detail).toContain('being trained already');
    await end(false).expect(201);
    await end(false).expect(201);
    expect((await group()).training).toBeNull();
    expect(await roundOn(TODAY)).toMatchObject([{ mixed: null }]);
    // What was ended is not begun again by an old message.
    await begin().expect(201);
    expect((await group()).training).toBeNull();
    await begin({ id: uuidv7(), fromStep: 3 }).expect(201);
    expect((await group()).training).toMatchObject({ step: 3, share: 0.5 });
  });

  it('kept, has the new food in the diet in place of the known one', async () => {
    await begin().expect(201);
    const { body } = await end(true).expect(201);
    expect(body.diet).toMatchObject({ version: 2, servings: [{ foodId: worms.id }] });
    expect(await roundOn(TODAY)).toMatchObject([{ foodName: 'Worms', mixed: null }]);
  });

  it.each([
    ['a serving that is not planned', () => ({ servingId: uuidv7() }), 'servingId'],
    ['the food that they take', () => ({ foodId: house.food.id }), 'foodId'],
    ['a food of nobody', () => ({ foodId: uuidv7() }), 'foodId'],
    ['a day to come', () => ({ day: '2026-05-01' }), 'day'],
    ['a sixth step', () => ({ fromStep: 6 }), 'fromStep'],
  ])('with %s is refused in words', async (_, over, path) => {
    const { body } = await begin(over()).expect(422);
    expect(body.errors[0].path).toBe(path);
    expect((await group()).training).toBeNull();
  });

  it('that nobody began cannot be ended', async () => {
    training = { ...training, id: uuidv7() };
    await end(false).expect(404);
  });
});
