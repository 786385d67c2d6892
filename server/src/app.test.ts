import { routes, type RouteName } from '@open-larder/contract';
import fc from 'fast-check';
import { QueryTypes } from 'sequelize';
import supertest from 'supertest';
import { v7 as uuidv7 } from 'uuid';
import { ABOUT_PEOPLE } from './testing/aboutPeople';
import { smallHouse } from './testing/samples';
import { count, startTestServer, type TestServer } from './testing/testServer';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
});
afterAll(() => server.close());

describe('bad input', () => {
  const tables = ['tanks', 'groups', 'foods', 'lots', 'moments', 'feedings', 'diets'];
  const rows = async () => Promise.all(tables.map((table) => count(server.db, table)));

  it('malformed JSON is 400, a body over 256 kB is 413, both in words', async () => {
    const bad = await ours.ask
      .post('/api/tanks')
      .set('Content-Type', 'application/json')
      .send('{"name":')
      .expect(400);
    expect(bad.body.detail).toMatch(/not valid JSON/);
    const huge = await ours.ask
      .post('/api/tanks')
      .send({ name: 'x'.repeat(300_000) })
      .expect(413);
    expect(huge.body.detail).toMatch(/256 kB/);
  });

  it('an unknown address is 404, and a foreign Host is turned away', async () => {
    await ours.ask.get('/api/nothing').expect(404);
    await ours.ask.get('/api/tanks').set('Host', 'evil.example').expect(421);
  });

  it('no garbage makes the server fail, write, or show its insides', async () => {
    const before = await rows();
    const posts = (Object.keys(routes) as RouteName[]).filter(
      (name) => routes[name].method !== 'get' && !ABOUT_PEOPLE.includes(name),
    );
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...posts), fc.jsonValue(), async (name, body) => {
        const { method, path } = routes[name];
        const address = path.replace(/:\w+/g, ours.group.id);
        const answer = await ours.ask[method](address)
          .set('Content-Type', 'application/json')
          .send(JSON.stringify(body));
        expect([400, 404, 422]).toContain(answer.status);
        expect(answer.text).not.toMatch(/node_modules|at .*\.ts:/);
      }),
      { numRuns: 120 },
    );
    expect(await rows()).toEqual(before);
  });
});

describe('around the answers', () => {
  it('a content-security policy allows no foreign and no inline script', async () => {
    const { headers } = await ours.ask.get('/api/health').expect(200);
    const policy = headers['content-security-policy'] as string;
    expect(policy).toContain("script-src 'self'");
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('the list of addresses is readable, complete and fetched from nowhere', async () => {
    const page = await ours.ask.get('/api/docs/').expect(200);
    expect(page.text).not.toMatch(/(src|href)="https?:/);
    const { body: document } = await ours.ask.get('/api/docs/openapi.json').expect(200);
    expect(document.openapi).toBe('3.1.0');
    // Each shape is told once, and what refers to it finds it.
    const text = JSON.stringify(document);
    expect(text.length).toBeLessThan(200_000);
    const refs = [...text.matchAll(/"\$ref":"#\/([^"]+)"/g)].map(([, path]) => path!.split('/'));
    expect(refs.length).toBeGreaterThan(500);
    for (const path of refs) {
      const found = path.reduce((part, key) => part?.[key], document);
      expect([path.join('/'), typeof found]).toEqual([path.join('/'), 'object']);
    }
    expect(document.paths['/api/feedings'].post).toMatchObject({ 'x-access': 'feeder' });
    const script = await ours.ask.get('/api/docs/swagger-ui-init.js').expect(200);
    for (const { path } of Object.values(routes)) {
      expect(script.text).toContain(path.replace(/:(\w+)/g, '{$1}'));
    }
  });

  it('a day of feedings is found by an index, whatever the number of rows', async () => {
    const plan = await server.db.transaction(async (transaction) => {
      // Few rows are always scanned; what is tested is that the index can answer at all.
      await server.db.query('SET LOCAL enable_seqscan = off', { transaction });
      const rows = await server.db.query<Record<string, string>>(
        `EXPLAIN SELECT * FROM feedings WHERE household_id = '${uuidv7()}' AND day = '2026-03-10'`,
        { type: QueryTypes.SELECT, transaction },
      );
      return rows.map((row) => Object.values(row).join(' ')).join('\n');
    });
    expect(plan).toMatch(/Index.* using feedings_day/);
    expect(plan).toMatch(/Index Cond: .*household_id.*day/);
  });

  it('says that it is not ready when the database is gone', async () => {
    const other = await startTestServer();
    await other.close();
    const answer = await supertest(other.app)
      .get('/api/ready')
      .set('Host', 'localhost')
      .expect(503);
    expect(answer.body.detail).toMatch(/database cannot be reached/);
  });
});
