import { loadCatalogue } from '@open-larder/catalogue/load';
import type { BalancingRow, Line } from '@open-larder/contract';
import { WEEK } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleServing, sampleTank, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { NO_PINS } from '@open-larder/core/week';
import { balanceAside } from './balance';
import { taskOf } from './task';
import { pagesIn } from '../testing/pdf';
import { STRANGER } from '../people/visitor';

// A plan is balanced in a thread of its own, which has to start: seconds on a busy machine.
jest.setTimeout(60_000);

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(async () => {
  house = await smallHouse(server);
});

const plan = (over: object = {}) => ({
  version: 0,
  cycle: WEEK,
  feedingStyle: null,
  fasts: [],
  water: null,
  diets: [],
  ...over,
});
const put = (body: object) => house.ask.put(`/api/tanks/${house.tank.id}/plan`).send(body);
const diet = (servings: object[], over: object = {}) => ({
  groupId: house.group.id,
  version: 1,
  fastWeekdays: [],
  goalFactor: null,
  servings,
  rules: [],
  ...over,
});
const servedOn = async (day: string) => {
  const { body } = await house.ask.get(`/api/round/${day}`).expect(200);
  return body.moments.flatMap((moment: { stops: { tankId: string; servings: unknown[] }[] }) =>
    moment.stops.filter((stop) => stop.tankId === house.tank.id).flatMap((stop) => stop.servings),
  ).length;
};
const tankNow = async () => {
  const { body } = await house.ask.get('/api/tanks').expect(200);
  return body.items.find((tank: { id: string }) => tank.id === house.tank.id);
};

describe('a tank’s plan', () => {
  it('is saved whole with the diets in it, and read with the tank', async () => {
    expect((await tankNow()).plan).toBeNull();
    const serving = sampleServing(house.food.id, house.moment.id, { days: [1, 3] });
    const cycle = { days: 3, from: '2026-03-10' };
    const saved = await put(plan({ cycle, diets: [diet([serving])] })).expect(200);
    expect(saved.body).toMatchObject({
      plan: { version: 1, cycle, fasts: [] },
      diets: [{ groupId: house.group.id, diet: { version: 2, servings: [serving] } }],
    });
    expect((await tankNow()).plan).toMatchObject({ version: 1, cycle });
    // Day 1, 2 and 3 of a cycle of three days that began on the tenth.
    expect(await servedOn('2026-03-10')).toBe(1);
    expect(await servedOn('2026-03-11')).toBe(0);
    expect(await servedOn('2026-03-12')).toBe(1);
    expect(await servedOn('2026-03-14')).toBe(0);
  });

  it('fasts a tank by weekday and on dates, and a group until something happens', async () => {
    const fasts = [
      { id: uuidv7(), groupId: null, when: { kind: 'weekly', weekdays: [7] } },
      {
        id: uuidv7(),
        groupId: house.group.id,
        when: { kind: 'dates', from: '2026-03-17', to: '2026-03-18' },
      },
    ];
    await put(plan({ fasts })).expect(200);
    expect(await servedOn('2026-03-15')).toBe(0);
    expect(await servedOn('2026-03-16')).toBe(1);
    expect(await servedOn('2026-03-17')).toBe(0);
    expect(await servedOn('2026-03-18')).toBe(0);
    expect(await servedOn('2026-03-19')).toBe(1);
    const until = [
      {
        id: uuidv7(),
        groupId: house.group.id,
        when: { kind: 'until', from: '2026-03-01', event: 'measured' },
      },
    ];
    await put(plan({ version: 1, fasts: until })).expect(200);
    expect(await servedOn('2026-03-11')).toBe(0);
    await house.ask
      .post(`/api/groups/${house.group.id}/events`)
      .send({ id: uuidv7(), kind: 'measured', day: '2026-03-10', lengthCm: 4, note: '' })
      .expect(201);
    expect(await servedOn('2026-03-11')).toBe(1);
  });

  it('leaves the past as it was planned then', async () => {
    await put(
      plan({
        fasts: [{ id: uuidv7(), groupId: null, when: { kind: 'weekly', weekdays: [1, 2, 3] } }],
      }),
    ).expect(200);
    // The plan holds from the day of saving; the Monday before was planned without it.
    expect(await servedOn('2026-03-11')).toBe(0);
    const { body } = await house.ask
      .get('/api/records/consumption')
      .query({ from: '2026-03-02', to: '2026-03-11' })
      .expect(200);
    const record = body.groups.find((one: { groupId: string }) => one.groupId === house.group.id);
    expect(record.neededPerDay[0]).toBeGreaterThan(0);
    expect(record.neededPerDay[9]).toBe(0);
  });

  it('refuses to fast fry, with the hours that they stand', async () => {
    const fry = sampleGroup(house.tank.id, { stage: 'fry' });
    await house.ask.post('/api/groups').send(fry).expect(201);
    const fasts = [{ id: uuidv7(), groupId: fry.id, when: { kind: 'weekly', weekdays: [1] } }];
    const answer = await put(plan({ fasts })).expect(422);
    expect(answer.body.errors).toEqual([
      {
        path: 'fasts.0.when',
        message: expect.stringMatching(/^fry never fast: these can go about \d+ hours/),
      },
    ]);
    // A fast of the whole tank leaves them out.
    await put(plan({ fasts: [{ ...fasts[0], groupId: null }] })).expect(200);
  });

  it('of two people editing at once keeps the first, and shows both to the second', async () => {
    await put(plan({ cycle: { days: 2, from: '2026-03-10' } })).expect(200);
    const late = await put(plan({ cycle: { days: 5, from: '2026-03-10' } })).expect(409);
    expect(late.body.theirs).toMatchObject({ version: 1, cycle: { days: 2 } });
    // The other one saved a diet of it: nothing of this plan is written.
    const serving = sampleServing(house.food.id, house.moment.id);
    await house.ask
      .put(`/api/groups/${house.group.id}/diet`)
      .send({ ...diet([serving]), groupId: undefined })
      .expect(200);
    await put(plan({ version: 1, diets: [diet([])] })).expect(409);
    expect((await tankNow()).plan.version).toBe(1);
  });

  it('keeps the choices that it is made by, its water, and what a group takes', async () => {
    const feedingStyle = {
      portion: 'clearing',
      meals: 'many',
      lift: 'day',
      staple: 'dry',
      fast: 'none',
      soak: 'soaked',
    };
    const water = { share: 0.3, everyDays: 10, sourceMgL: 12 };
    const rules = [{ foodId: house.food.id, taken: 0.4, mostPerWeek: 3 }];
    const serving = sampleServing(house.food.id, house.moment.id);
    await put(plan({ feedingStyle, water, diets: [diet([serving], { rules })] })).expect(200);
    expect((await tankNow()).plan).toMatchObject({ feedingStyle, water });
    const { body } = await house.ask.get('/api/groups').expect(200);
    const group = body.items.find((one: { id: string }) => one.id === house.group.id);
    expect(group.diet.rules).toEqual(rules);
    await put(plan({ version: 1, feedingStyle: { ...feedingStyle, meals: 'seven' } })).expect(422);
    await put(plan({ version: 1, water: { ...water, share: 2 } })).expect(422);
  });

  it('refuses what contradicts itself or belongs elsewhere, with a sentence', async () => {
    const serving = sampleServing(house.food.id, house.moment.id, { days: [4] });
    const short = await put(
      plan({ cycle: { days: 3, from: '2026-03-10' }, diets: [diet([serving])] }),
    ).expect(422);
    expect(short.body.errors[0].message).toBe('the cycle has only 3 days');
    const other = sampleTank();
    await house.ask.post('/api/tanks').send(other).expect(201);
    const away = await house.ask
      .put(`/api/tanks/${other.id}/plan`)
      .send(plan({ diets: [diet([])] }))
      .expect(422);
    expect(away.body.errors[0].message).toMatch(/no longer lives in this tank/);
    const backwards = { kind: 'dates', from: '2026-03-18', to: '2026-03-17' };
    await put(plan({ fasts: [{ id: uuidv7(), groupId: null, when: backwards }] })).expect(422);
    await put(plan({ cycle: { days: 29, from: '2026-03-10' } })).expect(422);
  });
});

describe('seasons and pins of a plan', () => {
  it('stay where a later edit does not say them, and go where it says none', async () => {
    const periods = [
      {
        id: uuidv7(),
        name: 'Winter rest',
        when: { kind: 'below', tempC: 10 },
        share: 0,
        everyDays: 1,
        without: [],
      },
    ];
    const pins = { groups: [house.group.id], foods: [], moments: [], servings: [] };
    const before = (await tankNow()).plan?.version ?? 0;
    await put(plan({ version: before, periods, pins })).expect(200);
    await put(plan({ version: before + 1 })).expect(200);
    expect((await tankNow()).plan).toMatchObject({ periods, pins });
    await put(plan({ version: before + 2, periods: null, pins: null })).expect(200);
    expect((await tankNow()).plan).toMatchObject({ periods: null, pins: null });
  });
});

describe('balancing in the server', () => {
  const balanceIt = (body: object) =>
    house.ask
      .post(`/api/tanks/${house.tank.id}/balance`)
      .send(body)
      .buffer(true)
      .parse((response, done) => {
        let text = '';
        response.on('data', (part) => (text += String(part)));
        response.on('end', () => done(null, text));
      });
  /** What came line by line. */
  const linesOf = ({ body }: { body: string }) =>
    body
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Line<'balancePlan'>);
  const answerOf = (lines: Line<'balancePlan'>[]) => {
    const last = lines.at(-1)!;
    if (!('answer' in last)) throw new Error(JSON.stringify(last));
    return last.answer;
  };

  it('answers with changes to the plan as it is being edited, and keeps nothing', async () => {
    const serving = sampleServing(house.food.id, house.moment.id, { ownUnits: 0.5 });
    const edit = plan({ diets: [diet([serving])] });
    const { found } = answerOf(linesOf(await balanceIt(edit).expect(201)));
    expect(found.length).toBeGreaterThan(0);
    // Of this household's shelf, about its own groups and servings.
    for (const { acts } of found) {
      for (const act of acts) {
        expect(act.groupId).toBe(house.group.id);
        if (act.does === 'add') expect(act.line.foodId).toBe(house.food.id);
      }
    }
    expect((await tankNow()).plan).toBeNull();
  });

  it('leaves alone what is pinned with the plan', async () => {
    const pins = { groups: [house.group.id], foods: [], moments: [], servings: [] };
    const serving = sampleServing(house.food.id, house.moment.id, { ownUnits: 0.5 });
    const answer = await balanceIt(plan({ diets: [diet([serving])], pins })).expect(201);
    expect(answerOf(linesOf(answer)).found).toEqual([]);
  });

  it('shows how far it is, and the answer last', async () => {
    const answer = await balanceIt(plan()).expect(201);
    expect(answer.headers['content-type']).toMatch(/^application\/x-ndjson/);
    const lines = linesOf(answer);
    const done = lines.flatMap((line) => ('progress' in line ? [line.progress.done] : []));
    expect(done.length).toBeGreaterThan(0);
    expect(done).toEqual([...done].sort((a, b) => a - b));
    expect(lines.slice(0, -1).every((line) => 'progress' in line)).toBe(true);
    expect(answerOf(lines).found).toBeDefined();
  });

  it('ends at once when nobody waits for it', async () => {
    const gone = new AbortController();
    const news: BalancingRow[] = [];
    const report = (one: BalancingRow) => {
      news.push(one);
      gone.abort();
    };
    const task = await taskOf(house.tank.id, plan(), {
      scope: server.scope('ours'),
      visitor: STRANGER,
      clock: { now: () => server.clock.at },
      catalogue: loadCatalogue(),
    });
    const work = balanceAside(task, NO_PINS, report, gone.signal);
    await expect(work).rejects.toThrow('The plan could not be balanced in time.');
    // What was on its way may still come; the search itself does not go on.
    expect(news.at(-1)!.done).toBeLessThan(news[0]!.of);
  });

  it('goes on answering meanwhile, and takes no more than two at once', async () => {
    const ask = () => balanceIt(plan());
    const answers = await Promise.all([ask(), ask(), ask(), house.ask.get('/api/health')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 201, 201, 409]);
  });
});

describe('a week on one page', () => {
  it('is a page of PDF, whatever stands in the plan', async () => {
    const many = Array.from({ length: 40 }, (_, at) =>
      sampleServing(house.food.id, house.moment.id, { place: `place ${at}`, days: [1, 2, 3] }),
    );
    await put(plan({ cycle: { days: 28, from: '2026-03-10' }, diets: [diet(many)] })).expect(200);
    const { body } = await house.ask.get(`/api/tanks/${house.tank.id}/week-sheet`).expect(200);
    expect(pagesIn(body.base64)).toHaveLength(1);
    expect(body.fileName).toMatch(/^week-.*-2026-03-10\.pdf$/);
  });
});

describe('a starting plan of one’s own', () => {
  const line = () => {
    const { id: _, ownUnits: __, ...rest } = sampleServing(house.food.id, house.moment.id);
    return rest;
  };

  it('is kept, changed and put away', async () => {
    const id = uuidv7();
    const body = { id, name: 'For grazers', lines: [line()] };
    await house.ask.post('/api/starting-plans').send(body).expect(201);
    await house.ask.post('/api/starting-plans').send(body).expect(201);
    const { id: _, ...fields } = body;
    const edit = { ...fields, name: 'For all grazers', version: 1, archived: true };
    const saved = await house.ask.put(`/api/starting-plans/${id}`).send(edit).expect(200);
    expect(saved.body).toMatchObject({ name: 'For all grazers', version: 2, archived: true });
    const again = await house.ask.put(`/api/starting-plans/${id}`).send(edit).expect(200);
    expect(again.body).toEqual(saved.body);
    const other = { ...edit, name: 'For none' };
    await house.ask.put(`/api/starting-plans/${id}`).send(other).expect(409);
    const list = await house.ask.get('/api/starting-plans').expect(200);
    expect(list.body.items.filter((one: { id: string }) => one.id === id)).toHaveLength(1);
  });

  it('refuses a food that is not there, and no lines at all', async () => {
    const body = { id: uuidv7(), name: 'X', lines: [{ ...line(), foodId: uuidv7() }] };
    const answer = await house.ask.post('/api/starting-plans').send(body).expect(422);
    expect(answer.body.errors[0].path).toBe('lines.0.foodId');
    await house.ask
      .post('/api/starting-plans')
      .send({ ...body, lines: [] })
      .expect(422);
  });
});
