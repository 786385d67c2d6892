import { routes, type RouteName } from '@open-larder/contract';
import { failedReads, readEverything } from './testing/readEverything';
import { smallHouse } from './testing/samples';
import { storeExtremes, WITHOUT_EXTREMES, type Send, type Stored } from './testing/storeExtremes';
import { startTestServer, type TestServer } from './testing/testServer';

const TODAY = '2026-03-10';

describe('everything that a write accepts', () => {
  let server: TestServer;
  let ask: ReturnType<TestServer['as']>;
  let stored: Stored[];
  beforeAll(async () => {
    server = await startTestServer();
    const house = await smallHouse(server);
    ask = house.ask;
    const send: Send = (method, path, body) => ask[method](path).send(body);
    stored = await storeExtremes(send, house, TODAY);
  }, 900_000);
  afterAll(() => server.close());

  it('is tried for each route that writes values', () => {
    const tried = new Set([...stored.map(({ name }) => name), ...WITHOUT_EXTREMES]);
    const writes = (Object.keys(routes) as RouteName[]).filter(
      (name) => routes[name].method !== 'get',
    );
    expect(writes.filter((name) => !tried.has(name))).toEqual([]);
  });

  it('is stored or refused in words, and never breaks the server', () => {
    for (const { name, accepted, broke } of stored) {
      expect({ name, broke }).toEqual({ name, broke: [] });
      expect({ name, accepted: accepted.length > 0 }).toEqual({ name, accepted: true });
    }
    const kept = stored.reduce((sum, { accepted }) => sum + accepted.length, 0);
    expect(kept).toBeGreaterThan(300);
  });

  it('can be read back, everywhere', async () => {
    const reads = await readEverything(ask, TODAY);
    expect(failedReads(reads)).toEqual([]);
    expect(reads.filter(({ body }) => body.unreadable)).toEqual([]);
  }, 300_000);
});
