import type { Account } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import {
  sampleAnswer,
  sampleBrood,
  sampleBroodEvent,
  sampleFeeding,
  sampleGroup,
  sampleLot,
  sampleRating,
  sampleTank,
  sampleTrial,
  sampleVessel,
  sampleVesselEvent,
  sampleWaterTest,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { partsWithin, summarySheet } from './summarySheet';
import { pagesIn } from '../testing/pdf';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  house = await smallHouse(server);
});
afterAll(() => server.close());

const SPAN = 'from=2026-03-01&to=2026-03-10';
const account = async (span = SPAN): Promise<Account> =>
  (await house.ask.get(`/api/records/account?${span}`).expect(200)).body;
const ofGroup = async (span = SPAN) =>
  (await account(span)).groups.find(({ groupId }) => groupId === house.group.id);
const logEvent = (event: object) =>
  house.ask
    .post(`/api/groups/${house.group.id}/events`)
    .send({ id: uuidv7(), ...event })
    .expect(201);
const measure = (day: string, lengthsCm: number[]) =>
  logEvent({
    kind: 'measured',
    day,
    lengthsCm,
    lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
  });
const water = (event: object) =>
  house.ask.post(`/api/tanks/${house.tank.id}/water`).send(sampleWaterTest(event)).expect(201);
const feed = (over: object) =>
  house.ask.post('/api/feedings').send(sampleFeeding(house, over)).expect(201);

describe('an account of a span', () => {
  it('tells of a group how many there were, what was lost of what, and how it grew', async () => {
    await logEvent({
      kind: 'died',
      day: '2026-03-04',
      males: 1,
      females: 0,
      unsexed: 0,
      cause: 'jumped',
    });
    await logEvent({ kind: 'died', day: '2026-03-06', males: 0, females: 2, unsexed: 0 });
    await measure('2026-03-02', [3.1, 3.2, 3.3]);
    await measure('2026-03-09', [3.4, 3.5, 3.6]);
    expect(await ofGroup()).toMatchObject({
      began: 10,
      ended: 7,
      died: 3,
      causes: [
        { cause: 'unknown', count: 2 },
        { cause: 'jumped', count: 1 },
      ],
      last: { day: '2026-03-09', n: 3 },
    });
    const row = (await ofGroup())!;
    expect(row.first!.day).toBe('2026-03-01');
    expect(row.over30!.low).toBeLessThan(row.over30!.share);
    expect(row.over30!.share).toBeLessThan(row.over30!.high);
    // 3.5 cm on arrival and at the end.
    expect(row.growthPerDay).toBeCloseTo(0, 6);
    const later = (await ofGroup('from=2026-03-02&to=2026-03-10'))!;
    expect(later.growthPerDay).toBeGreaterThan(0);
    expect(later.usualCm).toBeGreaterThanOrEqual(0);
  });

  it('shows nothing of what was before and after', async () => {
    await logEvent({ kind: 'died', day: '2026-03-04', males: 1, females: 0, unsexed: 0 });
    expect(await ofGroup('from=2026-03-05&to=2026-03-08')).toMatchObject({
      began: 9,
      died: 0,
      first: null,
    });
    expect(await ofGroup('from=2026-01-01&to=2026-02-01')).toBeUndefined();
  });

  it('shows what went in and what it cost, of group, tank and food', async () => {
    await house.ask
      .post(`/api/foods/${house.food.id}/lots`)
      .send(sampleLot({ amountG: 100, costMinor: 500 }))
      .expect(201);
    await feed({ day: '2026-03-09' });
    await feed({ day: '2026-03-10', outcome: 'refused' });
    const { groups, tanks, foods } = await account();
    const group = groups.find(({ groupId }) => groupId === house.group.id)!;
    const food = foods.find(({ foodId }) => foodId === house.food.id)!;
    const tank = tanks.find(({ tankId }) => tankId === house.tank.id)!;
    expect(food.offeredG).toBeGreaterThan(food.refusedG);
    expect(food.refusedG).toBeGreaterThan(0);
    expect(group.eatenG).toBeCloseTo(food.offeredG - food.refusedG, 6);
    expect(group.costMinor).toBeGreaterThan(0);
    expect(tank.costMinor).toBeCloseTo(group.costMinor!, 6);
  });

  it('shows of water its tests, its changes and what its fish stand', async () => {
    await water({ day: '2026-03-02', nitrate: 10 });
    await water({ day: '2026-03-08', nitrate: 30 });
    await water({ day: '2026-03-09', nitrate: null, ph: 7 });
    await water({ kind: 'changed', day: '2026-03-09', share: 0.25, nitrate: undefined });
    await water({ day: '2026-02-20', nitrate: 90 });
    const row = (await account()).tanks.find(({ tankId }) => tankId === house.tank.id)!;
    expect(row).toMatchObject({
      tests: 3,
      nitrate: { n: 2, mean: 20, max: 30 },
      changes: 1,
      capMgL: 40,
    });
    expect(row.litres).toBeGreaterThan(30);
    expect(row.litres).toBeLessThan(50);
  });

  it('shows what foods did, as rated in the span', async () => {
    await feed({});
    for (const over of [{}, { growth: 'same' }, { colour: 'worse', day: '2026-02-01' }]) {
      await house.ask.post('/api/ratings').send(sampleRating(house, over)).expect(201);
    }
    const food = (await account()).foods.find(({ foodId }) => foodId === house.food.id)!;
    expect(food.colour).toEqual({ worse: 0, same: 0, better: 2 });
    expect(food.growth).toEqual({ worse: 0, same: 1, better: 0 });
  });

  it.each(['groups', 'tanks', 'foods'])('comes out as CSV: %s', async (part) => {
    await feed({});
    await water({ nitrate: 12 });
    const { body } = await house.ask
      .get(`/api/records/account-table?${SPAN}&part=${part}`)
      .expect(200);
    expect(body.fileName).toBe(`${part}-2026-03-01-2026-03-10.csv`);
    const [head, ...lines] = body.text.trim().split('\n');
    expect(head).toMatch(/cost/);
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines) expect(line.split(',').length).toBe(head.split(',').length);
  });

  it('refuses a span that ends before it begins, or another part', async () => {
    await house.ask.get('/api/records/account?from=2026-03-10&to=2026-03-01').expect(422);
    await house.ask.get(`/api/records/account-table?${SPAN}&part=weather`).expect(422);
  });
});

const pagesOf = async (path: string) => {
  const { body } = await house.ask.get(path).expect(200);
  return { ...body, pages: pagesIn(body.base64).length };
};

describe('a summary', () => {
  it('of a group with all that happened is one page', async () => {
    await measure('2026-03-02', [3.1, 3.2, 3.3]);
    await measure('2026-03-09', [3.4, 3.5, 3.6]);
    await logEvent({ kind: 'died', day: '2026-03-04', males: 1, females: 0, unsexed: 0 });
    await logEvent({ kind: 'staged', day: '2026-03-04', stage: 'conditioning' });
    await feed({});
    const sibling = sampleGroup(house.tank.id);
    await house.ask.post('/api/groups').send(sibling).expect(201);
    const trial = sampleTrial(house.group.id, sibling.id);
    await house.ask.post('/api/trials').send(trial).expect(201);
    await house.ask.post('/api/ratings').send(sampleRating(house)).expect(201);
    const { fileName, pages } = await pagesOf(`/api/groups/${house.group.id}/summary`);
    expect(fileName).toBe('danios-summary.pdf');
    expect(pages).toBe(1);
  });

  it('of a tank with its water is one page, of an empty one too', async () => {
    await water({ day: '2026-03-02', nitrate: 10 });
    await water({ day: '2026-03-08', nitrate: 60 });
    expect((await pagesOf(`/api/tanks/${house.tank.id}/summary`)).pages).toBe(1);
    const empty = sampleTank({ name: 'Empty «here»' });
    await house.ask.post('/api/tanks').send(empty).expect(201);
    const { fileName } = await pagesOf(`/api/tanks/${empty.id}/summary`);
    expect(fileName).toBe('empty-here-summary.pdf');
  });

  it('of a group or tank that is not there is not found', async () => {
    await house.ask.get(`/api/groups/${uuidv7()}/summary`).expect(404);
    await house.ask.get(`/api/tanks/${uuidv7()}/summary`).expect(404);
  });
});

describe('the parts of a summary', () => {
  const part = (head: string, count: number) => ({
    head,
    lines: Array.from({ length: count }, (_, at) => `${head} ${at}, as it happened`),
  });

  it('leave out what is empty, and lose their oldest lines where they are too many', () => {
    const parts = partsWithin([part('a', 200), part('b', 0), part('c', 5)], 30);
    expect(parts.map(({ head }) => head)).toEqual(['a', 'c']);
    expect(parts[0]!.lines).toHaveLength(30);
    expect(parts[0]!.lines.at(-1)).toBe('and 171 more, in the app');
    expect(parts[1]!.lines).toHaveLength(5);
  });

  it('fit a page whatever happened, in letters that can be read', async () => {
    const summary = { title: 'A name', about: 'of long', curve: null };
    const sheet = await summarySheet({ ...summary, parts: [part('a', 2000), part('b', 900)] });
    expect(pagesIn(Buffer.from(sheet).toString('base64'))).toHaveLength(1);
  });
});

describe('a log', () => {
  const csv = async (log: string): Promise<string[]> => {
    const { body } = await house.ask.get(`/api/logs/${log}`).expect(200);
    expect(body.fileName).toBe(`${log}-2026-03-10.csv`);
    return body.text.trim().split('\n');
  };

  it('of cultures and broods names them, with what happened and its day', async () => {
    const vessel = sampleVessel({ name: 'Moina, back row' });
    await house.ask.post('/api/vessels').send(vessel).expect(201);
    await house.ask.post(`/api/vessels/${vessel.id}/events`).send(sampleVesselEvent()).expect(201);
    const brood = sampleBrood({ name: 'Second spawn' });
    await house.ask.post('/api/broods').send(brood).expect(201);
    await house.ask.post(`/api/broods/${brood.id}/events`).send(sampleBroodEvent()).expect(201);
    const [head, ...lines] = await csv('cultures');
    expect(head).toContain('sample ml');
    expect(lines.some((line) => line.startsWith('"Moina, back row"'))).toBe(true);
    expect((await csv('broods')).some((line) => line.startsWith('Second spawn'))).toBe(true);
    expect((await csv('broods')).join()).not.toContain(brood.id);
  });

  it('of ratings, trials and decisions shows what was said and what it led to', async () => {
    const sibling = sampleGroup(house.tank.id);
    await house.ask.post('/api/groups').send(sibling).expect(201);
    await house.ask.post('/api/trials').send(sampleTrial(house.group.id, sibling.id)).expect(201);
    await house.ask
      .post('/api/ratings')
      .send(sampleRating(house, { note: '=1+1' }))
      .expect(201);
    await house.ask.post('/api/proposals/answers').send(sampleAnswer(house)).expect(201);
    expect((await csv('ratings')).at(-1)).toMatch(
      /^2026-03-10,Fine flake,Danios,better,,"'=1\+1",/,
    );
    expect((await csv('trials')).at(-1)).toContain('Worms against flake,siblings,Danios');
    expect((await csv('decisions')).at(-1)).toMatch(/^2026-03-10,Danios,training,Fine flake/);
  });

  it('of anything else is refused', async () => {
    await house.ask.get('/api/logs/weather').expect(404);
  });
});
