import { loadCatalogue } from '@open-larder/catalogue/load';
import type { RoundView, Tank } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import supertest from 'supertest';
import { createApp } from './app';
import { localDay } from './clock';
import { ensureHousehold } from './demo';
import { makeLog } from './log';
import { keeperByItself } from './people/visitor';
import { failedReads, readEverything } from './testing/readEverything';
import { startTestServer, type TestServer } from './testing/testServer';

/** `npm run test:days` sets them all; a run of the tests, one. */
const DAYS = (process.env.OPEN_LARDER_TEST_DAYS ?? '2028-02-29T12:00:00Z').split(' ');
const ZONE = 'Europe/Berlin';

describe.each(DAYS)('the demo, as on %s', (at) => {
  const now = new Date(at);
  const today = localDay(now, ZONE);
  let server: TestServer;
  let ask: ReturnType<TestServer['as']>;
  beforeAll(async () => {
    server = await startTestServer();
    const catalogue = loadCatalogue();
    const id = await ensureHousehold(server.db, catalogue, { key: 'demo', timeZone: ZONE, now });
    const app = createApp({
      db: server.db,
      catalogue,
      clock: { now: () => now },
      log: makeLog('silent'),
      visitorOf: keeperByItself(() => ({ id, role: 'owner' })),
      people: server.people,
    });
    ask = supertest.agent(app).set('Host', 'localhost');
  });
  afterAll(() => server.close());

  it('reads everything', async () => {
    expect(failedReads(await readEverything(ask, today))).toEqual([]);
  }, 180_000);

  it('serves today once, at its place in the day, and takes it back', async () => {
    const round = (await ask.get(`/api/round/${today}`).expect(200)).body as RoundView;
    expect(round.day).toBe(today);
    const stops = round.moments.flatMap(({ stops: inside }) => inside);
    for (const stop of stops) {
      // Lights that are out after midnight still belong to this day.
      expect(Date.parse(stop.at) - Date.parse(`${today}T00:00:00Z`)).toBeGreaterThan(-3 * 3.6e6);
      expect(Date.parse(stop.at) - Date.parse(`${today}T00:00:00Z`)).toBeLessThan(36 * 3.6e6);
    }
    const serving = stops.flatMap(({ servings }) => servings).find(({ fed }) => fed === null);
    // Just before midnight all of it may be served.
    if (!serving) return;
    const feeding = {
      id: uuidv7(),
      servingId: serving.servingId,
      day: today,
      groupId: serving.groupId,
      foodId: serving.foodId,
      outcome: 'served',
      plannedUnits: serving.units,
      units: serving.units,
      note: '',
      hand: null,
      at: now.toISOString(),
    };
    await ask.post('/api/feedings').send(feeding).expect(201);
    await ask.post('/api/feedings').send(feeding).expect(201);
    await ask
      .post(`/api/feedings/${feeding.id}/undo`)
      .send({ id: uuidv7(), at: now.toISOString() })
      .expect(201);
  });

  it('takes in a change of water and a look of today, and refuses those of the day after tomorrow', async () => {
    const tanks = (await ask.get('/api/tanks').expect(200)).body.items as Tank[];
    const tank = tanks[0]!;
    const change = (day: string) => ({
      id: uuidv7(),
      kind: 'changed',
      day,
      share: 0.2,
      at: now.toISOString(),
      hand: null,
      note: '',
    });
    await ask.post(`/api/tanks/${tank.id}/water`).send(change(today)).expect(201);
    const later = localDay(new Date(now.getTime() + 3 * 86_400_000), ZONE);
    await ask.post(`/api/tanks/${tank.id}/water`).send(change(later)).expect(422);
  });
});
