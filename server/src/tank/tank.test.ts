import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleTank } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const make = async (over: object = {}) =>
  (await server.as('ours').post('/api/tanks').send(sampleTank(over)).expect(201)).body;

describe('tanks', () => {
  it('come back as they were made, numbers as numbers', async () => {
    const body = sampleTank({ tempC: 25.5 });
    const made = await server.as('ours').post('/api/tanks').send(body).expect(201);
    expect(made.body).toEqual({
      ...body,
      version: 1,
      archived: false,
      plan: null,
      lastTemp: null,
    });
  });

  it('are made once, however often the same is sent', async () => {
    const body = sampleTank();
    await server.as('ours').post('/api/tanks').send(body).expect(201);
    const before = await count(server.db, 'tanks');
    await server.as('ours').post('/api/tanks').send(body).expect(201);
    expect(await count(server.db, 'tanks')).toBe(before);
  });

  it('answer a stale edit with both versions, and overwrite nothing', async () => {
    const { id, ...tank } = await make();
    const first = await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...tank, tempC: 26 })
      .expect(200);
    expect(first.body.version).toBe(2);
    const second = await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...tank, tempC: 20 })
      .expect(409);
    expect(second.body.type).toBe('urn:open-larder:stale');
    expect(second.body.yours.tempC).toBe(20);
    expect(second.body.theirs.tempC).toBe(26);
  });

  it('are paged in walking order', async () => {
    for (const walkOrder of [70, 50, 60]) await make({ walkOrder });
    const seen: number[] = [];
    let cursor: string | null = '';
    while (cursor !== null) {
      const page: { body: { items: { walkOrder: number }[]; next: string | null } } = await server
        .as('ours')
        .get('/api/tanks')
        .query({ limit: 2, ...(cursor ? { cursor } : {}) })
        .expect(200);
      seen.push(...page.body.items.map((tank) => tank.walkOrder));
      cursor = page.body.next;
    }
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
    expect(seen.length).toBe(await count(server.db, 'tanks'));
    await server.as('ours').get('/api/tanks').query({ cursor: 'nonsense' }).expect(422);
  });

  it('are not put away while fish live in them, and come back by an edit', async () => {
    const { id, ...tank } = await make();
    const group = sampleGroup(id);
    await server.as('ours').post('/api/groups').send(group).expect(201);
    const kept = await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...tank, archived: true })
      .expect(409);
    expect(kept.body.detail).toMatch(/Move or end its groups first/);
    await server
      .as('ours')
      .put(`/api/groups/${group.id}`)
      .send({ name: group.name, speciesKey: group.speciesKey, version: 1, archived: true })
      .expect(200);
    const away = await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...tank, archived: true })
      .expect(200);
    await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...tank, version: away.body.version, archived: false })
      .expect(200);
  });

  it.each([
    ['a temperature that boils', { tempC: 95 }, 'tempC', /between 0 and 40/],
    ['more water than it holds', { waterLevelCm: 60 }, 'waterLevelCm', /above the rim/],
    [
      'no size at all',
      { lengthCm: null },
      'litres',
      /give length, width and height, or the litres/,
    ],
    ['no name', { name: '  ' }, 'name', /give it a name/],
    ['a text for a number', { ph: 'acid' }, 'ph', /between 3 and 11/],
    ['a light hour past midnight', { lightOnMin: 1500 }, 'lightOnMin', /time of day/],
  ])('refuse %s with a sentence', async (_what, over, path, sentence) => {
    const before = await count(server.db, 'tanks');
    const answer = await server.as('ours').post('/api/tanks').send(sampleTank(over)).expect(422);
    expect(answer.headers['content-type']).toMatch(/application\/problem\+json/);
    const error = answer.body.errors.find((one: { path: string }) => one.path === path);
    expect(error.message).toMatch(sentence);
    expect(await count(server.db, 'tanks')).toBe(before);
  });

  it('that nobody made are 404', async () => {
    const { id: _, ...tank } = sampleTank();
    await server
      .as('ours')
      .put(`/api/tanks/${uuidv7()}`)
      .send({ ...tank, version: 1, archived: false })
      .expect(404);
    await server.as('ours').put('/api/tanks/not-an-id').send({}).expect(404);
  });
});
