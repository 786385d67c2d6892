import type { BroodRow, FryMealRow, RoundView, Served } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleBrood, sampleBroodEvent, sampleFood, smallHouse } from '../testing/samples';
import { pagesIn } from '../testing/pdf';
import { dayLines, onPage } from './daySheet';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
let brood: ReturnType<typeof sampleBrood>;
const TODAY = '2026-03-10';
const powder = () =>
  sampleFood({
    name: 'Fry powder',
    family: 'mortar',
    inWater: { floatMinutes: 1, sinkCmPerS: 0.1, particleMinMm: 0.05, particleMaxMm: 0.1 },
    unit: { name: 'knife tip', plural: 'knife tips', massG: 0.01, step: 0.5 },
  });

let food: ReturnType<typeof powder>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  server.clock.at = new Date(`${TODAY}T12:00:00Z`);
  house = await smallHouse(server);
  food = powder();
  await house.ask.post('/api/foods').send(food).expect(201);
  brood = sampleBrood({
    firstFood: 'powder',
    events: [
      sampleBroodEvent({ kind: 'swimming', day: '2026-03-06' }),
      sampleBroodEvent({ kind: 'counted', day: '2026-03-07', count: 80 }),
    ],
  });
  await house.ask.post('/api/broods').send(brood).expect(201);
});
afterAll(() => server.close());

const read = async (): Promise<BroodRow> => {
  const { body } = await house.ask.get('/api/broods?limit=500').expect(200);
  return body.items.find(({ id }: BroodRow) => id === brood.id);
};
const first = ({ meals }: BroodRow): FryMealRow['servings'][number] => meals[0]!.servings[0]!;
const fed = ({ servingId, tubId, units }: FryMealRow['servings'][number], over: object = {}) => ({
  id: uuidv7(),
  servingId,
  day: TODAY,
  groupId: null,
  broodId: brood.id,
  tubId,
  foodId: food.id,
  outcome: 'served',
  plannedUnits: units,
  units,
  note: '',
  at: `${TODAY}T12:00:00.000Z`,
  ...over,
});
const leftG = async () => {
  const { body } = await house.ask.get('/api/foods?limit=500').expect(200);
  return body.items.find(({ id }: { id: string }) => id === food.id).remainingG;
};
const servedRows = async (): Promise<Served['rows']> => {
  const { body } = await house.ask.get(`/api/records/served?from=${TODAY}&to=${TODAY}`).expect(200);
  return body.rows.filter(({ groupId }: { groupId: string }) => groupId === brood.id);
};

describe('young in a tub', () => {
  it('are served as groups are: from the shelf, in the records, and back with an undo', async () => {
    const serving = first(await read());
    const before = await leftG();
    const body = fed(serving);
    await house.ask.post('/api/feedings').send(body).expect(201);
    await house.ask.post('/api/feedings').send(body).expect(201);
    const massG = serving.units * 0.01;
    expect(await leftG()).toBeCloseTo(before - massG, 9);
    expect(first(await read()).fed).toMatchObject({ id: body.id, tubId: serving.tubId, massG });
    expect(await servedRows()).toMatchObject([
      { groupName: brood.name, foodName: 'Fry powder', servings: 1, offeredG: massG },
    ]);
    await house.ask
      .post(`/api/feedings/${body.id}/undo`)
      .send({ id: uuidv7(), at: body.at })
      .expect(201);
    expect(await leftG()).toBeCloseTo(before, 9);
    expect(first(await read()).fed).toBeNull();
    expect(await servedRows()).toEqual([]);
  });

  it('are no group: the round, its water and what is in the water stay as they were', async () => {
    const ask = async (path: string) => (await house.ask.get(path).expect(200)).body;
    const all = () => Promise.all([ask(`/api/round/${TODAY}`), ask('/api/waters')]);
    const before = await all();
    await house.ask
      .post('/api/feedings')
      .send(fed(first(await read())))
      .expect(201);
    expect(await all()).toEqual(before);
  });

  it('foul their tub by what was served, and less where leftovers came out', async () => {
    const serving = first(await read());
    await house.ask
      .post('/api/feedings')
      .send(fed(serving, { units: serving.units * 20, outcome: 'more' }))
      .expect(201);
    const fouled = (await read()).status.tubs[0]!;
    expect(fouled.asServed).toBe(true);
    await house.ask
      .post(`/api/broods/${brood.id}/events`)
      .send(sampleBroodEvent({ kind: 'lifted', day: TODAY, tubId: serving.tubId, share: 0.5 }))
      .expect(201);
    expect((await read()).status.tubs[0]!.gramsPerDay).toBeCloseTo(fouled.gramsPerDay / 2, 9);
  });

  it('are refused with a group beside, without their brood, or in a tub of another', async () => {
    const serving = first(await read());
    const send = (over: object) => house.ask.post('/api/feedings').send(fed(serving, over));
    await send({ groupId: house.group.id }).expect(422);
    await send({ tubId: null, broodId: null }).expect(422);
    await send({ broodId: null }).expect(422);
    const other = sampleBrood();
    await house.ask.post('/api/broods').send(other).expect(201);
    await send({ broodId: other.id }).expect(404);
    await server.as('theirs').post('/api/feedings').send(fed(serving)).expect(404);
  });

  it('are fed every two hours while someone is at home', async () => {
    const { body: kept } = await house.ask.get('/api/household').expect(200);
    const { id: _, ...household } = kept;
    const at = async () => (await read()).meals.map(({ minutes }) => minutes);
    const before = await at();
    const atHome = [{ fromMin: 16 * 60, toMin: 20 * 60 }];
    await house.ask
      .put('/api/household')
      .send({ ...household, atHome })
      .expect(200);
    const after = await at();
    expect(after.length).toBeGreaterThan(before.length);
    expect(after).toContain(16 * 60);
  });

  it('have standing food that is put in, swapped after its days, and noted as such', async () => {
    const grazers = sampleBrood({
      speciesKey: 'ancistrus-cirrhosus',
      events: [sampleBroodEvent({ kind: 'swimming', day: '2026-03-08' })],
    });
    const { body: begun } = await house.ask.post('/api/broods').send(grazers).expect(201);
    const standing = (row: BroodRow) => row.work.filter(({ what }) => what === 'standing');
    expect(standing(begun)).toHaveLength(1);
    const placed = sampleBroodEvent({ kind: 'placed', day: '2026-03-08', foodKey: 'film' });
    const { body } = await house.ask
      .post(`/api/broods/${grazers.id}/events`)
      .send(placed)
      .expect(201);
    expect(standing(body)).toEqual([]);
  });
});

describe('parents', () => {
  it('that guard eat less that day, others of their group as ever, and more afterwards', async () => {
    const round = async () => {
      const { body } = await house.ask.get(`/api/round/${TODAY}`).expect(200);
      const view = body as RoundView;
      const served = view.moments
        .flatMap(({ stops }) => stops.flatMap(({ servings }) => servings))
        .find(({ servingId }) => servingId === house.serving.id)!;
      const parents = view.parents.find(({ groupId }) => groupId === house.group.id);
      return { massG: served.massG, parents };
    };
    const before = await round();
    expect(before.parents).toBeUndefined();
    const own = sampleBrood({
      breeding: 'surface spawner',
      groupId: house.group.id,
      raising: 'with',
      events: [sampleBroodEvent({ kind: 'spawned', day: '2026-03-08' })],
    });
    await house.ask.post('/api/broods').send(own).expect(201);
    const guarding = await round();
    // A pair of ten, on half.
    expect(guarding.parents).toMatchObject({ is: 'guarding', animals: 2, broodName: own.name });
    expect(guarding.parents!.share).toBeCloseTo(0.9, 9);
    expect(guarding.massG).toBeLessThanOrEqual(before.massG);
    await house.ask
      .post(`/api/broods/${own.id}/events`)
      .send(sampleBroodEvent({ kind: 'swimming', day: TODAY }))
      .expect(201);
    const after = await round();
    expect(after.parents).toMatchObject({ is: 'recovering' });
    expect(after.parents!.share).toBeGreaterThan(1);
    expect(after.massG).toBeGreaterThanOrEqual(before.massG);
  });
});

describe('conditioning', () => {
  it('ends with its span: portions are those of every day again', async () => {
    const own = sampleBrood({
      groupId: house.group.id,
      conditionDays: 7,
      events: [sampleBroodEvent({ kind: 'conditioned', day: '2026-03-04' })],
    });
    await house.ask
      .post(`/api/groups/${house.group.id}/events`)
      .send({ id: uuidv7(), day: '2026-03-04', kind: 'staged', stage: 'conditioning', note: '' })
      .expect(201);
    const massG = async (day: string) => {
      const { body } = await house.ask.get(`/api/round/${day}`).expect(200);
      return (body as RoundView).moments
        .flatMap(({ stops }) => stops.flatMap(({ servings }) => servings))
        .find(({ servingId }) => servingId === house.serving.id)!.massG;
    };
    const much = await massG('2026-03-10');
    expect(await massG('2026-03-12')).toBe(much);
    await house.ask.post('/api/broods').send(own).expect(201);
    expect(await massG('2026-03-10')).toBe(much);
    expect(await massG('2026-03-12')).toBeLessThan(much);
    const stage = async (day: string) =>
      (await house.ask.get(`/api/groups?day=${day}`).expect(200)).body.items.find(
        ({ id }: { id: string }) => id === house.group.id,
      ).stage;
    expect(await stage('2026-03-10')).toBe('conditioning');
    expect(await stage('2026-03-12')).toBe('adult');
  });
});

describe('a trigger in the plan', () => {
  it('is followed by the water of its tank until they spawn', async () => {
    const step = (day: string, does: string, share: number | null) => ({
      day,
      does,
      share,
      tempC: 22,
    });
    const trigger = {
      groupId: house.group.id,
      steps: [
        step('2026-03-09', 'hold', null),
        step('2026-03-12', 'refill', 0.3),
        step('2026-03-14', 'heaterBack', null),
      ],
    };
    const plan = {
      version: 0,
      cycle: { days: 7, from: '2026-03-02' },
      feedingStyle: null,
      fasts: [],
      water: { share: 0.25, everyDays: 7, sourceMgL: 10, trigger },
      diets: [],
    };
    await house.ask.put(`/api/tanks/${house.tank.id}/plan`).send(plan).expect(200);
    const water = async () => {
      const { body } = await house.ask.get('/api/waters').expect(200);
      return body.tanks.find(({ tankId }: { tankId: string }) => tankId === house.tank.id);
    };
    const before = await water();
    expect(before.trigger.map(({ does }: { does: string }) => does)).toEqual([
      'refill',
      'heaterBack',
    ]);
    expect(before.status.next).toMatchObject({ day: '2026-03-12', share: 0.3 });
    const own = sampleBrood({
      groupId: house.group.id,
      events: [sampleBroodEvent({ kind: 'spawned', day: TODAY })],
    });
    await house.ask.post('/api/broods').send(own).expect(201);
    const after = await water();
    expect(after.trigger).toEqual([]);
    expect(after.status.next.share).toBe(0.25);
  });
});

describe('the sheet of a day', () => {
  const sheet = async (day: string) =>
    (await house.ask.get(`/api/broods/days/${day}/sheet?hand=Ana`).expect(200)).body;

  it('has each meal of each tub by the clock, then the water of all', async () => {
    const row = await read();
    const lines = dayLines([row], { units: 'metric', temperature: 'C', hardness: 'dGH' });
    const words = lines.map(({ text }) => text);
    const meals = lines.filter(({ text }) => text.includes('fry powder'));
    expect(meals).toHaveLength(row.meals.length);
    expect(words[0]).toMatch(/^Lights on \d\d:\d\d$/);
    expect(words[1]).toMatch(/^Look before you feed/);
    expect(words.join('\n')).toMatch(/Have [\d.]+ L of seasoned water ready/);
    expect(words.indexOf('After the last meal')).toBeGreaterThan(lines.indexOf(meals.at(-1)!));
    expect(words.findIndex((one) => one.startsWith('Lights out'))).toBeGreaterThan(
      words.indexOf('After the last meal'),
    );
    expect(dayLines([], { units: 'us', temperature: 'F', hardness: 'ppm' })).toEqual([]);
  });

  it('of one person has the tubs that are theirs, and no others', async () => {
    const row = await read();
    const [first] = row.tubs;
    const second = { ...first!, id: uuidv7(), name: 'Of Ben' };
    const both = {
      ...row,
      tubs: [first!, second],
      meals: row.meals.map((meal) => ({
        ...meal,
        servings: meal.servings.flatMap((one) => [one, { ...one, tubId: second.id }]),
      })),
    };
    const [bens] = onPage(both, [second.id]);
    expect(bens!.tubs).toEqual([second]);
    const fed = bens!.meals.flatMap(({ servings }) => servings.map(({ tubId }) => tubId));
    expect(fed).toEqual(row.meals.map(() => second.id));
    expect(bens!.work.every(({ tubId }) => tubId === null)).toBe(true);
    expect(onPage(row, [house.group.id])).toEqual([]);
    expect(onPage(row, null)).toEqual([row]);
    const printed = await house.ask
      .get(`/api/broods/days/${TODAY}/sheet?hand=Ana&tubs=${first!.id}`)
      .expect(200);
    expect(pagesIn(printed.body.base64)).toHaveLength(1);
  });

  it('is one page, of today, of tomorrow and of next month', async () => {
    for (const day of [TODAY, '2026-03-11', '2026-04-10']) {
      const { fileName, base64 } = await sheet(day);
      expect(fileName).toBe(`young-${day}.pdf`);
      expect(pagesIn(base64)).toHaveLength(1);
    }
  });
});
