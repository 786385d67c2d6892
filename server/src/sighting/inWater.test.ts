import type { MealInWater } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleFood, sampleSighting, smallHouse } from '../testing/samples';
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

const TODAY = '2026-03-10';
const feed = async (over: object = {}) => {
  const fed = sampleFeeding(house, { day: TODAY, at: '2026-03-10T11:30:00.000Z', ...over });
  await house.ask.post('/api/feedings').send(fed).expect(201);
  return fed;
};
const inWater = async (): Promise<MealInWater[]> => {
  const { body } = await house.ask.get(`/api/round/${TODAY}`).expect(200);
  return body.inWater.filter((meal: MealInWater) => meal.tankId === house.tank.id);
};
const drops = (keys: string[]) => keys.map((key) => ({ ...sampleSighting(house).drops[0]!, key }));
const say = (keys: string[], dropKeys: string[], over: object = {}) =>
  house.ask
    .post(`/api/tanks/${house.tank.id}/sightings`)
    .send(sampleSighting(house, { day: TODAY, came: [], drops: drops(keys), dropKeys, ...over }))
    .expect(201);
const open = async () =>
  (await inWater()).flatMap((meal) => meal.drops.filter((one) => !one.ended).map(({ key }) => key));

describe('what is in the water', () => {
  it('is known to the house: since when, and as what it was planned', async () => {
    expect(await inWater()).toEqual([]);
    await feed();
    expect(await inWater()).toMatchObject([
      {
        tankId: house.tank.id,
        day: TODAY,
        momentId: house.moment.id,
        drops: [{ key: house.serving.id, at: '2026-03-10T11:30:00.000Z', ended: false }],
      },
    ]);
  });

  it('ends food by food, and a look at one never changes what was seen of another', async () => {
    const first = await feed();
    const second = await feed({ servingId: uuidv7() });
    const keys = [first.servingId, second.servingId];
    await say(keys, [first.servingId], { clearedMin: null, left: 0.5 });
    expect(await open()).toEqual([second.servingId]);
    await say(keys, [second.servingId], { clearedMin: 4, left: null });
    expect(await inWater()).toEqual([]);
    const { body } = await house.ask
      .get(`/api/records/served?from=${TODAY}&to=${TODAY}`)
      .expect(200);
    const row = body.rows.find((one: { groupId: string }) => one.groupId === house.group.id);
    // Half of the first was left, nothing of the second.
    expect(row.leftG).toBeCloseTo(0.5 * sampleSighting(house).drops[0]!.massG, 9);
  });

  it('comes back where what was seen of it is taken back, and when it is served anew', async () => {
    const fed = await feed();
    const gone = sampleSighting(house, {
      day: TODAY,
      came: [],
      drops: drops([fed.servingId]),
      dropKeys: [fed.servingId],
    });
    await house.ask.post(`/api/tanks/${house.tank.id}/sightings`).send(gone).expect(201);
    expect(await open()).toEqual([]);
    await house.ask.post(`/api/sightings/${gone.id}/undo`).send({ id: uuidv7() }).expect(201);
    expect(await open()).toEqual([fed.servingId]);
    await say([fed.servingId], [fed.servingId], { clearedMin: 3 });
    await house.ask
      .post(`/api/feedings/${fed.id}/undo`)
      .send({ id: uuidv7(), at: fed.at })
      .expect(201);
    await feed();
    expect(await open()).toEqual([fed.servingId]);
  });

  it('is no longer watched on any device, and nothing is learned of that', async () => {
    const fed = await feed();
    const unwatched = { clearedMin: null, left: null, unwatched: true };
    await say([fed.servingId], [fed.servingId], unwatched);
    expect(await open()).toEqual([]);
    const { body } = await house.ask.get(`/api/tanks/${house.tank.id}/sightings`).expect(200);
    expect(body.items).toEqual([]);
  });

  it('holds leaves for the weeks that they lie, until they are taken out', async () => {
    const leaf = sampleFood({ name: 'Catappa leaf', form: 'sinks', liftAfterMin: 5 * 1440 });
    await house.ask.post('/api/foods').send(leaf).expect(201);
    const put = (day: string) =>
      feed({ foodId: leaf.id, servingId: uuidv7(), day, at: `${day}T11:30:00.000Z` });
    const recent = await put('2026-03-08');
    const due = await put('2026-03-02');
    expect((await open()).sort()).toEqual([recent.servingId, due.servingId].sort());
    const meal = (await inWater()).find((one) => one.day === '2026-03-02')!;
    expect(meal.drops.map(({ key }) => key)).toEqual([due.servingId]);
    await say([due.servingId], [due.servingId], { day: meal.day, clearedMin: null, left: 0.25 });
    expect(await open()).toEqual([recent.servingId]);
  });

  it.each([
    ['what was refused', { outcome: 'refused' }],
    ['what was fed hours ago', { at: '2026-03-10T06:00:00.000Z' }],
    ['what was logged afterwards', { day: '2026-03-09' }],
  ])('is not %s', async (_, over) => {
    await feed(over);
    expect(await inWater()).toEqual([]);
  });
});
