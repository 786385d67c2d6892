import type { PortionsProposed, Proposals } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import {
  sampleAnswer,
  sampleFeeding,
  sampleFood,
  sampleGroup,
  sampleLook,
  sampleLooks,
  sampleServing,
  sampleSighting,
  sampleWaterTest,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { portionsSince } from './seen';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
const TODAY = '2026-03-10';
const ago = (days: number) => addDays(TODAY, -days);
const at = (day: string) => new Date(`${day}T12:00:00Z`);
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  // The diet has stood for nine days when something is seen.
  server.clock.at = at(ago(9));
  house = await smallHouse(server);
  // Enough of them that a hand can serve them a little more or less.
  const counted = { kind: 'counted', males: 0, females: 0, unsexed: 75 };
  await house.ask
    .post(`/api/groups/${house.group.id}/events`)
    .send({ id: uuidv7(), day: ago(9), ...counted })
    .expect(201);
  server.clock.at = at(TODAY);
});
afterAll(() => server.close());

const proposals = async (): Promise<Proposals> =>
  (await house.ask.get('/api/proposals').expect(200)).body;
const portions = async (): Promise<PortionsProposed | undefined> =>
  (await proposals()).portions.find(({ groupId }) => groupId === house.group.id);
const watch = (daysAgo: number, over: object) =>
  house.ask
    .post(`/api/tanks/${house.tank.id}/sightings`)
    .send(sampleSighting(house, { day: ago(daysAgo), clearedMin: null, came: [], ...over }))
    .expect(201);
const look = (daysAgo: number, belly: number) =>
  house.ask
    .post('/api/looks')
    .send(sampleLooks(sampleLook(house.group.id, { day: ago(daysAgo), belly })))
    .expect(201);
const answer = (over: object = {}) =>
  house.ask
    .post('/api/proposals/answers')
    .send(sampleAnswer(house, { kind: 'portions', foodId: null, ...over }));
const undo = (id: string) =>
  house.ask.post(`/api/answers/${id}/undo`).send({ id: uuidv7(), at: at(TODAY).toISOString() });
const diet = async () => {
  const { body } = await house.ask.get('/api/groups').expect(200);
  return body.items.find((one: { id: string }) => one.id === house.group.id).diet;
};

describe('proposed portions', () => {
  it('are none while nothing was seen, or all was well', async () => {
    expect(await portions()).toBeUndefined();
    await watch(1, { clearedMin: 6 });
    await watch(2, { clearedMin: 5 });
    await look(1, 3);
    expect(await portions()).toBeUndefined();
  });

  it('are smaller where food is left, with what was seen and what it comes to', async () => {
    await watch(1, { left: 0.5 });
    await watch(3, { left: 0.5 });
    const proposal = (await portions())!;
    expect(proposal).toMatchObject({ change: -0.138, groupName: 'Danios', version: 1 });
    expect(proposal.signs).toEqual([
      { seen: { kind: 'left', share: 0.5 }, day: ago(1) },
      { seen: { kind: 'left', share: 0.5 }, day: ago(3) },
    ]);
    expect(proposal.changed).toMatchObject([{ foodName: 'Fine flake', momentName: 'After work' }]);
    expect(parseFloat(proposal.changed[0]!.after)).toBeLessThan(
      parseFloat(proposal.changed[0]!.before),
    );
  });

  it('are larger for fish that stay thin', async () => {
    await look(6, 2);
    expect(await portions()).toBeUndefined();
    await look(2, 2);
    await look(0, 1);
    expect((await portions())!.change).toBeGreaterThan(0.1);
  });

  it('follow the last look at a meal, and none that was taken back', async () => {
    await watch(1, { left: 0.75 });
    await watch(1, { left: 0 });
    const { body } = await watch(2, { left: 0.5 });
    await watch(3, { left: 0.5 });
    // Two halves left, and one meal eaten up: less than from the halves alone.
    expect((await portions())!.change).toBeGreaterThan(-0.12);
    await house.ask.post(`/api/sightings/${body.id}/undo`).send({ id: uuidv7() }).expect(201);
    expect(await portions()).toBeUndefined();
  });

  it('accepted become the diet, and what was seen before no longer speaks of it', async () => {
    await watch(1, { left: 0.5 });
    await watch(2, { left: 0.5 });
    const before = await diet();
    const { body } = await answer({ accepted: true, hand: 'Ada' }).expect(201);
    expect(body).toMatchObject({ accepted: true, change: -0.138, hand: 'Ada', day: TODAY });
    expect(await diet()).toMatchObject({ version: 2, goalFactor: 0.85 * 1.5, validFrom: TODAY });
    expect(await portions()).toBeUndefined();
    await undo(body.id).expect(201);
    await undo(body.id).expect(201);
    const { version: _, validFrom: __, ...same } = before;
    expect(await diet()).toMatchObject({ version: 3, ...same });
    // All is as it was, so that it is proposed again.
    expect((await portions())!.change).toBe(-0.138);
  });

  it('declined are not asked about for four weeks, put off for one', async () => {
    await watch(1, { left: 0.5 });
    await watch(2, { left: 0.5 });
    const { body } = await answer().expect(201);
    expect(await diet()).toMatchObject({ version: 1 });
    expect(await portions()).toBeUndefined();
    const leaveAgain = async (day: number) => {
      server.clock.at = at(addDays(TODAY, day));
      await watch(-day, { left: 0.5 });
      await watch(1 - day, { left: 0.5 });
    };
    await leaveAgain(8);
    expect(await portions()).toBeUndefined();
    await leaveAgain(27);
    expect(await portions()).toBeUndefined();
    await leaveAgain(28);
    expect((await portions())!.change).toBe(-0.138);
    server.clock.at = at(TODAY);
    await undo(body.id).expect(201);
    expect((await portions())!.change).toBe(-0.138);
    const put = await answer({ later: true }).expect(201);
    expect(put.body).toMatchObject({ accepted: false, later: true });
    await leaveAgain(6);
    expect(await portions()).toBeUndefined();
    await leaveAgain(7);
    expect((await portions())!.change).toBe(-0.138);
  });

  it('are answered once, and about the diet that stands', async () => {
    await watch(1, { left: 0.5 });
    await watch(2, { left: 0.5 });
    const id = uuidv7();
    await answer({ id, accepted: true }).expect(201);
    await answer({ id, accepted: true }).expect(201);
    expect(await diet()).toMatchObject({ version: 2 });
    const stale = await answer({ accepted: true }).expect(409);
    expect(stale.body.type).toContain('stale');
    const gone = await answer({ accepted: true, version: 2 }).expect(409);
    expect(gone.body.detail).toContain('no longer proposed');
  });

  it('taken back after the diet was changed are refused in words', async () => {
    await watch(1, { left: 0.5 });
    await watch(2, { left: 0.5 });
    const { body } = await answer({ accepted: true }).expect(201);
    const { validFrom: _, ...now } = await diet();
    await house.ask.put(`/api/groups/${house.group.id}/diet`).send(now).expect(200);
    const refused = await undo(body.id).expect(409);
    expect(refused.body.detail).toContain('changed since');
  });

  it.each([
    ['a training without its food', { kind: 'training', foodId: null }],
    ['a food of portions', { foodId: uuidv7() }],
    ['a training accepted here', { kind: 'training', foodId: uuidv7(), accepted: true }],
    ['no diet', { version: 0 }],
    ['what is accepted and put off', { accepted: true, later: true }],
    ['portions of no group', { groupId: null }],
    ['a tank of portions', { tankId: uuidv7() }],
    ['water of no tank', { kind: 'water', groupId: null }],
  ])('of %s are refused in words', async (_, over) => {
    const { body } = await answer(over).expect(422);
    expect(body.errors[0].message.length).toBeGreaterThan(5);
  });

  it('of an answer that nobody gave cannot be taken back', async () => {
    await undo(uuidv7()).expect(404);
  });
});

describe('what a proposal leads to', () => {
  it('is reported beforehand: need, stock and nitrate', async () => {
    await watch(1, { left: 0.5 });
    await watch(2, { left: 0.5 });
    const { leadsTo } = (await portions())!;
    expect(leadsTo.ofNeed.after).toBeLessThan(leadsTo.ofNeed.before);
    expect(leadsTo.stock).toMatchObject([{ foodName: 'Fine flake' }]);
    const { before, after } = leadsTo.stock[0]!;
    expect(after ?? Infinity).toBeGreaterThanOrEqual(before ?? Infinity);
    expect(leadsTo.nitrate!.after).toBeLessThan(leadsTo.nitrate!.before);
    expect(leadsTo.size).toBeNull();
  });

  it('for those that grow is a date too, earlier with more', async () => {
    const young = { id: uuidv7(), day: ago(8), kind: 'staged', stage: 'juvenile' };
    const small = { id: uuidv7(), day: ago(8), kind: 'measured', lengthCm: 2.2 };
    for (const event of [young, small]) {
      await house.ask.post(`/api/groups/${house.group.id}/events`).send(event).expect(201);
    }
    await look(6, 2);
    await look(2, 2);
    await look(0, 1);
    const { change, leadsTo } = (await portions())!;
    expect(change).toBeGreaterThan(0);
    expect(leadsTo.size!.before! > leadsTo.size!.after!).toBe(true);
  });

  it('is seen afterwards, in the history, up to the next change', async () => {
    server.clock.at = at(ago(6));
    await watch(7, { left: 0.5 });
    await watch(8, { left: 0.5 });
    const { body } = await answer({ accepted: true }).expect(201);
    server.clock.at = at(TODAY);
    const history = async () =>
      (await house.ask.get('/api/answers').expect(200)).body.items.filter(
        ({ groupId }: { groupId: string }) => groupId === house.group.id,
      );
    expect(await history()).toMatchObject([
      {
        id: body.id,
        about: 'Danios',
        change: -0.138,
        signs: [{ seen: { share: 0.5 } }, { seen: { share: 0.5 } }],
        ledTo: { says: 'unseen' },
      },
    ]);
    await watch(3, { left: 0 });
    await watch(2, { left: 0.25 });
    expect((await history())[0].ledTo).toEqual({ more: 0, right: 1, less: 1, says: 'right' });
    await undo(body.id).expect(201);
    expect(await history()).toEqual([]);
  });
});

describe('growth', () => {
  it('behind its kind asks a grower for more, by one measurement', async () => {
    const events = [
      { kind: 'staged', stage: 'juvenile', day: ago(60) },
      ...[50, 30, 3].map((daysAgo, at) => ({
        kind: 'measured',
        day: ago(daysAgo),
        lengthCm: 2 + at * 0.02,
        lengthsCm: [-2, -1, 0, 1, 2].map((off) => 2 + at * 0.02 + off / 100),
      })),
    ];
    server.clock.at = at(ago(60));
    const group = sampleGroup(house.tank.id, { day: ago(61), unsexed: 60, lengthCm: null });
    await house.ask.post('/api/groups').send(group).expect(201);
    const serving = sampleServing(house.food.id, house.moment.id);
    await house.ask
      .put(`/api/groups/${group.id}/diet`)
      .send({ version: 0, fastWeekdays: [], goalFactor: null, servings: [serving], rules: [] })
      .expect(200);
    server.clock.at = at(TODAY);
    for (const event of events) {
      await house.ask
        .post(`/api/groups/${group.id}/events`)
        .send({ id: uuidv7(), ...event })
        .expect(201);
    }
    const proposal = (await proposals()).portions.find(({ groupId }) => groupId === group.id)!;
    expect(proposal.change).toBeGreaterThan(0);
    const sign = proposal.signs.find(({ seen }) => seen.kind === 'growth');
    expect(sign).toMatchObject({ day: ago(3), seen: { behind: true } });
  });
});

describe('proposed changes of water', () => {
  const plan = async () =>
    (await house.ask.get('/api/tanks').expect(200)).body.items.find(
      ({ id }: { id: string }) => id === house.tank.id,
    ).plan;
  const water = async () =>
    (await proposals()).waters.find(({ tankId }) => tankId === house.tank.id);
  /** Hardly changed, and the fish eat well. */
  const foul = async (over: object = {}) => {
    const body = {
      version: 0,
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle: null,
      fasts: [],
      water: { share: 0.05, everyDays: 14, sourceMgL: 5, ...over },
      diets: [],
    };
    await house.ask.put(`/api/tanks/${house.tank.id}/plan`).send(body).expect(200);
    await tested(0, 45);
  };
  const tested = (daysAhead: number, nitrate: number) =>
    house.ask
      .post(`/api/tanks/${house.tank.id}/water`)
      .send(sampleWaterTest({ day: addDays(TODAY, daysAhead), nitrate }))
      .expect(201);
  const say = (over: object = {}) =>
    house.ask.post('/api/proposals/answers').send({
      id: uuidv7(),
      kind: 'water',
      tankId: house.tank.id,
      foodId: null,
      accepted: true,
      version: 1,
      hand: null,
      at: at(TODAY).toISOString(),
      ...over,
    });

  it('are none if not said how it is changed, or it is enough', async () => {
    expect(await water()).toBeUndefined();
    await foul({ share: 0.9, everyDays: 1 });
    expect(await water()).toBeUndefined();
  });

  it('keep it under what the strictest stand, and are taken into the plan by one answer', async () => {
    await foul();
    const proposed = (await water())!;
    expect(proposed.peak.before).toBeGreaterThan(proposed.capMgL);
    expect(proposed.peak.after).toBeLessThanOrEqual(proposed.capMgL);
    expect(proposed).toMatchObject({ capGroupName: 'Danios', growers: [], version: 1 });
    expect(proposed.litresPerWeek.after).toBeGreaterThan(proposed.litresPerWeek.before);
    const { body } = await say().expect(201);
    expect(await plan()).toMatchObject({
      version: 2,
      water: { ...proposed.after, sourceMgL: 5 },
    });
    expect(await water()).toBeUndefined();
    await undo(body.id).expect(201);
    await undo(body.id).expect(201);
    expect(await plan()).toMatchObject({ version: 3, water: { share: 0.05, everyDays: 14 } });
    expect(await water()).toMatchObject({ version: 3 });
  });

  it('are answered about the plan that stands, once', async () => {
    await foul();
    const id = uuidv7();
    await say({ version: 2 }).expect(409);
    await say({ tankId: uuidv7() }).expect(404);
    await say({ id }).expect(201);
    await say({ id }).expect(201);
    const gone = await say({ version: 2 }).expect(409);
    expect(gone.body.detail).toContain('no longer proposed');
    const { validFrom: _, ...now } = await plan();
    await house.ask
      .put(`/api/tanks/${house.tank.id}/plan`)
      .send({ ...now, diets: [] })
      .expect(200);
    expect((await undo(id).expect(409)).body.detail).toContain('changed since');
  });

  it('put off are quiet for a week; what they led to is the next test', async () => {
    await foul();
    await say({ accepted: false, later: true }).expect(201);
    expect(await water()).toBeUndefined();
    server.clock.at = at(addDays(TODAY, 7));
    expect(await water()).toBeDefined();
    await say({}).expect(201);
    server.clock.at = at(addDays(TODAY, 20));
    await tested(9, 90);
    await tested(19, 22);
    const { items } = (await house.ask.get('/api/answers?limit=1').expect(200)).body;
    expect(items).toMatchObject([
      { kind: 'water', about: house.tank.name, nitrate: { mgL: 22 }, ledTo: null },
    ]);
    expect(items[0].signs[0].seen).toMatchObject({ kind: 'nitrate', groupName: 'Danios' });
  });
});

describe('a proposed training', () => {
  const refusing = async () => {
    const worms = sampleFood({ name: 'Worms', family: 'wriggle' });
    await house.ask.post('/api/foods').send(worms).expect(201);
    const serving = sampleServing(worms.id, house.moment.id, { days: [1, 3] });
    const { validFrom: _, ...now } = await diet();
    await house.ask
      .put(`/api/groups/${house.group.id}/diet`)
      .send({ ...now, servings: [...now.servings, serving] })
      .expect(200);
    const fed = (over: object) =>
      house.ask.post('/api/feedings').send(sampleFeeding(house, over)).expect(201);
    await fed({ day: ago(3) });
    await fed({ day: ago(2) });
    await fed({ day: ago(1), servingId: serving.id, foodId: worms.id, outcome: 'refused' });
    return { worms, serving };
  };

  it('is onto the food that newcomers refuse, with the one that they take', async () => {
    const { worms } = await refusing();
    expect((await proposals()).trainings).toContainEqual({
      groupId: house.group.id,
      groupName: 'Danios',
      tankId: house.tank.id,
      foodId: worms.id,
      foodName: 'Worms',
      withFoodName: 'Fine flake',
      mixing: 'stirred',
      servingId: house.serving.id,
      served: 1,
      refused: 1,
      newcomerDays: 9,
    });
  });

  it('declined is not asked about again; it is another question than portions', async () => {
    const { worms } = await refusing();
    await watch(1, { left: 0.5 });
    await answer({ kind: 'training', foodId: worms.id, version: 2 }).expect(201);
    const ofOurs = (await proposals()).trainings.filter(
      ({ groupId }) => groupId === house.group.id,
    );
    expect(ofOurs).toEqual([]);
    await answer({ kind: 'training', foodId: uuidv7(), version: 2 }).expect(404);
  });
});

describe('the day since which portions are what they are', () => {
  const version = (validFrom: string, goalFactor: number | null) => ({
    validFrom,
    goalFactor,
    servings: [],
  });
  it('is that of the last change of them, not of one taken back on its day', () => {
    expect(portionsSince([])).toBe('');
    expect(portionsSince([version('a', 1), version('b', 2)])).toBe('b');
    expect(portionsSince([version('a', 1), version('b', 1)])).toBe('a');
    expect(portionsSince([version('a', 1), version('b', 2), version('b', 1)])).toBe('a');
    expect(portionsSince([version('a', 1), version('b', 2), version('c', 1)])).toBe('c');
  });
});
