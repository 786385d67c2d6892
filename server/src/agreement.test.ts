import type { BroodRow, ForecastRecords, WaterRow } from '@open-larder/contract';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { addDays } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { readHouse } from './round/house';
import {
  sampleBrood,
  sampleBroodEvent,
  sampleTank,
  sampleWaterTest,
  smallHouse,
} from './testing/samples';
import { startTestServer, type TestServer } from './testing/testServer';
import { readWaterStatuses } from './water/status';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
const TODAY = '2026-03-10';
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
});
afterAll(() => server.close());

describe('one fact on every route that tells it', () => {
  it('nitrate now and its peak: the list of waters, the answer to a test, and what proposals start from', async () => {
    for (const [at, nitrate] of [12, 25, 60].entries()) {
      const tank = sampleTank({ name: `Tank ${at}` });
      await ours.ask.post('/api/tanks').send(tank).expect(201);
      const test = sampleWaterTest({ day: TODAY, nitrate });
      const { body: answer } = await ours.ask
        .post(`/api/tanks/${tank.id}/water`)
        .send(test)
        .expect(201);
      const { body: list } = await ours.ask.get('/api/waters').expect(200);
      const listed = list.tanks.find((one: WaterRow) => one.tankId === tank.id);
      const household = await readHouse(server.scope('ours'), loadCatalogue());
      const [proposed] = await readWaterStatuses(server.scope('ours'), household, TODAY, tank.id);
      for (const other of [listed, proposed]) {
        expect(other.status.days[0].before).toBeCloseTo(answer.status.days[0].before, 9);
        expect(other.status.peakMgL).toBeCloseTo(answer.status.peakMgL, 9);
      }
    }
  });

  it('the hatch day: the answer to the spawning, the list of broods, and the record of how right it was', async () => {
    const laid = addDays(TODAY, -9);
    const brood = sampleBrood({ speciesKey: 'oryzias-latipes' });
    await ours.ask.post('/api/broods').send(brood).expect(201);
    const logEvent = (over: object) =>
      ours.ask
        .post(`/api/broods/${brood.id}/events`)
        .send(sampleBroodEvent({ id: uuidv7(), ...over }))
        .expect(201);
    const { body: spawned } = await logEvent({ kind: 'spawned', day: laid });
    const hatchOf = ({ status }: BroodRow) => status.stages.find(({ stage }) => stage === 'hatch')!;
    const expected = hatchOf(spawned);
    const { body: list } = await ours.ask.get('/api/broods').expect(200);
    const listed = list.items.find((one: BroodRow) => one.id === brood.id);
    expect(hatchOf(listed)).toEqual(expected);
    await logEvent({ kind: 'hatched', day: TODAY, at: `${TODAY}T09:00:00.000Z` });
    const { body: records } = await ours.ask.get('/api/records/forecasts').expect(200);
    const { newest } = (records as ForecastRecords).kinds.find(({ kind }) => kind === 'hatch')!;
    expect(addDays(laid, newest[0]!.middle)).toBe(expected.day);
    expect(addDays(laid, newest[0]!.low)).toBe(expected.from);
    expect(addDays(laid, newest[0]!.high)).toBe(expected.to);
  });
});
