import { loadCatalogue } from '@open-larder/catalogue/load';
import type { ForecastRecords, ScoredForecast } from '@open-larder/contract';
import { isInside, type ForecastKind } from '@open-larder/core/forecasts';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleLot, sampleWaterTest, smallHouse } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import { catchUp, scoredOf } from './catchUp';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
});
afterAll(() => server.close());

const read = async (): Promise<ForecastRecords> =>
  (await ours.ask.get('/api/records/forecasts').expect(200)).body;
const kindOf = async (kind: ForecastKind) => (await read()).kinds.find((one) => one.kind === kind);
const tested = async (day: string, nitrate: number): Promise<string> => {
  const body = sampleWaterTest({ day, at: `${day}T18:00:00.000Z`, nitrate });
  await ours.ask.post(`/api/tanks/${ours.tank.id}/water`).send(body).expect(201);
  return body.id;
};
const measured = (day: string, lengthCm: number) =>
  ours.ask
    .post(`/api/groups/${ours.group.id}/events`)
    .send({ id: uuidv7(), kind: 'measured', day, lengthCm })
    .expect(201);

describe('how right the forecasts were', () => {
  it('is nothing before anything came true', async () => {
    expect(await read()).toEqual({ kinds: [], pending: 0 });
  });

  it('is told of each test of the water but the first, from what was known the evening before', async () => {
    await tested('2026-03-04', 20);
    expect(await kindOf('nitrate')).toBeUndefined();
    await tested('2026-03-06', 21);
    const odd = await tested('2026-03-09', 23);
    const record = (await kindOf('nitrate'))!;
    expect(record).toMatchObject({ count: 2, calibration: null, change: null });
    const [last, first] = record.newest as [ScoredForecast, ScoredForecast];
    expect(first).toMatchObject({ day: '2026-03-06', madeOn: '2026-03-05', actual: 21 });
    expect(last).toMatchObject({ about: ours.tank.name, madeOn: '2026-03-08', actual: 23 });
    // A test two days old is near: what is expected of the next lies around it.
    expect(first.middle).toBeGreaterThan(10);
    expect(first.middle).toBeLessThan(32);
    expect(isInside(first)).toBe(true);
    expect(record.medianError).toBeGreaterThanOrEqual(0);
    expect(await count(server.db, 'forecasts')).toBe(2);

    // What was taken back never came true.
    await ours.ask
      .post(`/api/water/${odd}/undo`)
      .send({ id: uuidv7(), at: '2026-03-09T19:00:00.000Z' })
      .expect(201);
    expect(await kindOf('nitrate')).toMatchObject({ count: 1 });
  });

  it('stays as it was kept, however often it is asked for', async () => {
    const before = await read();
    await tested('2026-03-08', 50);
    const after = await kindOf('nitrate');
    expect(after!.newest.slice(1)).toEqual(
      before.kinds.find(({ kind }) => kind === 'nitrate')!.newest,
    );
    expect(await read()).toEqual(await read());
  });

  it('is reported of lengths, and of the day on which a checkpoint is reached', async () => {
    await measured('2026-03-02', 2);
    const { body: group } = await ours.ask.get('/api/groups').expect(200);
    const { id, name, speciesKey, version } = group.items.find(
      (one: { id: string }) => one.id === ours.group.id,
    );
    await ours.ask
      .put(`/api/groups/${id}`)
      .send({
        name,
        speciesKey,
        version,
        archived: false,
        checkpoints: [{ name: '', lengthCm: 2.1, ageDays: null }],
      })
      .expect(200);
    await measured('2026-03-10', 2.2);
    const { newest } = (await kindOf('length'))!;
    expect(newest[0]).toMatchObject({ madeOn: '2026-03-02', day: '2026-03-10', actual: 2.2 });
    expect(newest[0]!.middle).toBeGreaterThan(2);
    const days = (await kindOf('lengthDay'))!.newest[0]!;
    expect(days.actual).toBeCloseTo(4, 6);
    expect(days.low).toBeLessThanOrEqual(days.high);
  });

  it('is reported of a food that ran out, and stays though it is bought again', async () => {
    const before = server.clock.at;
    server.clock.at = new Date('2026-04-20T12:00:00Z');
    const feed = (day: string, units: number) =>
      ours.ask
        .post('/api/feedings')
        .send(sampleFeeding(ours, { day, at: `${day}T11:30:00.000Z`, units }))
        .expect(201);
    const { massG } = (await ours.ask.get('/api/foods').expect(200)).body.items[0].unit;
    // Half a gram is left when it is forecast, and all of it is used two weeks later.
    await feed('2026-04-02', 9.5 / massG);
    await feed('2026-04-18', 10_000);
    const { body: foods } = await ours.ask.get('/api/foods').expect(200);
    expect(foods.items[0].remainingG).toBe(0);
    const { newest } = (await kindOf('runsOut'))!;
    expect(newest[0]).toMatchObject({ madeOn: '2026-04-04', day: '2026-04-18', actual: 14 });
    expect(newest[0]!.middle).toBeGreaterThan(0);
    const lot = sampleLot({ id: uuidv7(), boughtOn: '2026-04-19' });
    await ours.ask.post(`/api/foods/${ours.food.id}/lots`).send(lot).expect(201);
    expect((await kindOf('runsOut'))!.count).toBe(1);
    server.clock.at = before;
  });

  it('of what no model has an answer for is kept without a band, and takes nothing else with it', async () => {
    const outcome = {
      kind: 'nitrate' as const,
      eventId: uuidv7(),
      about: 'a tank',
      madeOn: '2026-03-01',
      day: '2026-03-02',
      actual: 20,
    };
    const none = { ...outcome, low: null, middle: null, high: null };
    const refuses = () => {
      throw new RangeError('the food of a serving is not on the list');
    };
    expect(await scoredOf({ ...outcome, foresee: refuses })).toEqual(none);
    const upsideDown = { low: 3, middle: 2, high: 1 };
    expect(await scoredOf({ ...outcome, foresee: () => upsideDown })).toEqual(none);
    const broken = () => Promise.reject(new TypeError('a fault of the program'));
    await expect(scoredOf({ ...outcome, foresee: broken })).rejects.toThrow(TypeError);
  });

  it('goes on where it left off when there is not time for all', async () => {
    const scope = server.scope('ours');
    const catalogue = loadCatalogue();
    const clock = { now: () => server.clock.at };
    await scope.rows('DELETE FROM forecasts WHERE household_id = :household RETURNING event_id');
    const first = await catchUp(scope, catalogue, clock, 0);
    expect(first.kept).toHaveLength(1);
    expect(first.pending).toBeGreaterThan(1);
    const rest = await catchUp(scope, catalogue, clock, 60_000);
    expect(rest.pending).toBe(0);
    expect(rest.kept.length).toBe(first.pending + 1);
  });

  it('widens the bands that are shown once twenty of a kind came true, and only those', async () => {
    const scope = server.scope('ours');
    const { body: before } = await ours.ask.get('/api/waters').expect(200);
    const width = (body: typeof before) => {
      const { low, before: middle, high } = body.tanks[0].status.days[10];
      return { below: middle - low, above: high - middle, middle };
    };
    for (let at = 0; at < 25; at += 1) {
      await scope.insert('forecasts', [
        {
          kind: 'nitrate',
          eventId: uuidv7(),
          about: 'a tank',
          madeOn: '2026-03-01',
          day: '2026-03-02',
          low: 18,
          middle: 20,
          high: 22,
          // Off by three widths of its band, each of them.
          actual: at % 2 === 0 ? 26 : 14,
        },
      ]);
    }
    const { body: after } = await ours.ask.get('/api/waters').expect(200);
    expect(width(after).middle).toBeCloseTo(width(before).middle, 6);
    expect(width(after).above).toBeCloseTo(3 * width(before).above, 6);
    const others = await server.as('theirs').get('/api/waters').expect(200);
    expect(others.body.tanks).toEqual([]);
  });
});
