import type { WaterEventRow, WaterRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { readHouse } from '../round/house';
import {
  sampleFeeding,
  sampleGroup,
  sampleTank,
  sampleWaterTest,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { waterWork } from './work';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
const TODAY = '2026-03-10';
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
});
afterAll(() => server.close());

const send = (body: object, tankId = ours.tank.id) =>
  ours.ask.post(`/api/tanks/${tankId}/water`).send(body);
const water = async (tankId = ours.tank.id): Promise<WaterRow> =>
  (await ours.ask.get('/api/waters').expect(200)).body.tanks.find(
    (one: WaterRow) => one.tankId === tankId,
  );
const events = async (tankId: string): Promise<WaterEventRow[]> =>
  (await ours.ask.get(`/api/tanks/${tankId}/water`).expect(200)).body.items;
const changed = (day: string, share = 0.25) => ({
  id: uuidv7(),
  kind: 'changed',
  day,
  at: `${day}T18:00:00.000Z`,
  share,
});
const newTank = async (over: object = {}) => {
  const tank = sampleTank({ name: `Tank ${uuidv7().slice(-6)}`, ...over });
  await ours.ask.post('/api/tanks').send(tank).expect(201);
  return tank.id;
};

describe('the water of a tank', () => {
  it('is told from what was served and tested, and eight weeks ahead', async () => {
    const before = (await water()).status!;
    expect(before.days).toHaveLength(56);
    expect(before.cap?.groupId).toBe(ours.group.id);
    const { body } = await send(
      sampleWaterTest({ day: '2026-03-09', nitrate: 31, ph: 7.1 }),
    ).expect(201);
    expect(body.status.latest.nitrate).toEqual({ value: 31, day: '2026-03-09' });
    expect(body.status.latest.ph.value).toBe(7.1);
    expect(body.status.days[0].before).toBeGreaterThan(20);
  });

  it('makes more where more was served', async () => {
    const nitrogen = (status: NonNullable<WaterRow['status']>) => status.past.at(-1)!.mgL;
    const plain = nitrogen((await water()).status!);
    const feeding = sampleFeeding(ours, { day: '2026-03-09', units: 400 });
    await ours.ask.post('/api/feedings').send(feeding).expect(201);
    expect(nitrogen((await water()).status!)).toBeGreaterThan(plain);
    await ours.ask.post(`/api/feedings/${feeding.id}/undo`).send({
      id: uuidv7(),
      at: feeding.at,
    });
    expect(nitrogen((await water()).status!)).toBeCloseTo(plain, 6);
  });

  it('an event is written once, taken back once, and reads back newest first', async () => {
    const tankId = await newTank();
    const test = sampleWaterTest({ day: '2026-03-01', nitrate: 12 });
    await send(test, tankId).expect(201);
    await send(test, tankId).expect(201);
    const change = changed('2026-03-04');
    await send(change, tankId).expect(201);
    expect((await events(tankId)).map(({ kind }) => kind)).toEqual(['changed', 'tested']);
    const undo = () =>
      ours.ask.post(`/api/water/${change.id}/undo`).send({ id: uuidv7(), at: change.at });
    await undo().expect(201);
    await undo().expect(201);
    expect((await events(tankId)).map(({ kind }) => kind)).toEqual(['tested']);
    // A late copy of the first message is answered as it was, and does not say it again.
    await send(change, tankId).expect(201);
    expect((await events(tankId)).map(({ kind }) => kind)).toEqual(['tested']);
    await send(test).expect(409);
  });

  it('the rhythm of its plan asks for the next change, in litres', async () => {
    const tankId = await newTank();
    expect((await water(tankId)).status!.next).toBeNull();
    const plan = {
      version: 0,
      cycle: { days: 7, from: '2026-03-02' },
      feedingStyle: null,
      fasts: [],
      water: { share: 0.3, everyDays: 5, sourceMgL: 8, heldUntil: null, bucketL: 12 },
      diets: [],
    };
    await ours.ask.put(`/api/tanks/${tankId}/plan`).send(plan).expect(200);
    await send(changed('2026-03-09', 0.3), tankId).expect(201);
    const { status, litres } = await water(tankId);
    expect(status!.next).toMatchObject({ day: '2026-03-14', late: 0, held: false });
    expect(status!.next!.litres).toBeCloseTo(0.3 * litres!, 6);
    const held = { ...plan, version: 1, water: { ...plan.water, heldUntil: '2026-03-20' } };
    await ours.ask.put(`/api/tanks/${tankId}/plan`).send(held).expect(200);
    expect((await water(tankId)).status!.next).toMatchObject({ day: '2026-03-20', held: true });
  });

  it('a new tank ripens; one whose litres nobody knows says nothing', async () => {
    expect((await water()).status!.raw).not.toBeNull();
    expect((await water(await newTank({ filter: 'none', plants: 'none' }))).status!.raw).toBeNull();
  });

  it('an odd test is asked about', async () => {
    const tankId = await newTank();
    for (const [back, nitrate] of [
      [40, 20],
      [33, 22],
      [26, 21],
      [19, 23],
      [12, 22],
    ] as const) {
      await send(sampleWaterTest({ day: addDays(TODAY, -back), nitrate }), tankId).expect(201);
    }
    const odd = sampleWaterTest({ nitrate: 97 });
    const { body } = await send(odd, tankId).expect(201);
    expect(body.status.warnings).toContainEqual({
      kind: 'odd',
      eventId: odd.id,
      mgL: 97,
      mixedUp: true,
    });
    // Taken back, and confirmed in its place.
    await ours.ask.post(`/api/water/${odd.id}/undo`).send({ id: uuidv7(), at: odd.at });
    const sure = await send({ ...odd, id: uuidv7(), sure: true }, tankId).expect(201);
    expect(sure.body.status.warnings.map(({ kind }: { kind: string }) => kind)).not.toContain(
      'odd',
    );
  });

  it.each([
    ['a day that has not come', sampleWaterTest({ day: '2026-03-13' }), 'day'],
    ['no reading at all', sampleWaterTest({ nitrate: null }), 'nitrate'],
    ['a reading in another unit', sampleWaterTest({ ph: 70 }), 'ph'],
    ['a change of nothing', changed('2026-03-01', 0), 'share'],
    ['more than the tank', changed('2026-03-01', 1.2), 'share'],
    ['a note as long as a book', sampleWaterTest({ note: 'x'.repeat(200) }), 'note'],
  ])('of %s is refused in words', async (_, body, path) => {
    const answer = await send(body).expect(422);
    expect(answer.body.errors[0].path).toBe(path);
    expect(answer.body.errors[0].message.length).toBeGreaterThan(5);
  });

  it('of a tank that is not there is not found', async () => {
    await send(sampleWaterTest(), uuidv7()).expect(404);
    await ours.ask.get(`/api/tanks/${uuidv7()}/water`).expect(404);
    await ours.ask
      .post(`/api/water/${uuidv7()}/undo`)
      .send({
        id: uuidv7(),
        at: '2026-03-10T18:00:00Z',
      })
      .expect(404);
  });
});

describe('changes of water on the printed round', () => {
  const work = async (day = TODAY) => {
    const household = await readHouse(server.scope('ours'), loadCatalogue());
    return waterWork(server.scope('ours'), household, day);
  };
  const rhythm = async (over: object = {}) => {
    const tankId = await newTank({ litres: 105 });
    const group = sampleGroup(tankId, { day: '2026-02-01' });
    await ours.ask.post('/api/groups').send(group).expect(201);
    const body = {
      version: 0,
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle: null,
      fasts: [],
      water: { share: 0.2, everyDays: 7, sourceMgL: 5, ...over },
      diets: [],
    };
    await ours.ask.put(`/api/tanks/${tankId}/plan`).send(body).expect(200);
    const { items } = (await ours.ask.get('/api/tanks').expect(200)).body;
    return items.find(({ id }: { id: string }) => id === tankId).name as string;
  };

  it('stand where they are due, in buckets, with how warm they must be', async () => {
    const name = await rhythm({ source: { name: 'tap', tempC: 5, gh: null, tdsMgL: null } });
    const due = (await work()).find((one) => one.name === name)!;
    expect(due.work[0]!.says).toMatch(/^change 21 L, 20 %: 2 buckets of 10 L and 1 L of tap, at /);
  });

  it('stand in no list while they wait for a spawn, or nobody said how it is changed', async () => {
    const held = await rhythm({ heldUntil: '2026-03-20' });
    expect((await work()).map(({ name }) => name)).not.toContain(held);
    const silent = await newTank();
    expect((await work()).map(({ name }) => name)).not.toContain(silent);
  });
});
