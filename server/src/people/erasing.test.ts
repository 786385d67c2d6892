import { loadCatalogue } from '@open-larder/catalogue/load';
import { QueryTypes } from 'sequelize';
import { sha256 } from '../backup/format';
import { ensureHousehold } from '../demo';
import { sampleFeeding, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

const PASSWORD = 'a heron at the weir';
type Browser = ReturnType<TestServer['browser']>;
let server: TestServer;
const start = async () => {
  server = await startTestServer({ people: true });
};
afterEach(() => server.close());

const begin = async () => {
  const browser = server.browser();
  await browser.post('/api/first-owner').send({ name: 'Wren', password: PASSWORD }).expect(201);
  return browser;
};
const comeAs = async (owner: Browser, role: string, name: string) => {
  const { body } = await owner.post('/api/invitations').send({ role, days: 1 }).expect(201);
  const browser = server.browser();
  const person = { name, password: PASSWORD };
  await browser.post('/api/invitations/acceptance').send({ code: body.code, person }).expect(201);
  return browser;
};
const digestOfBackup = async (browser: Browser) => {
  const { body } = await browser.get('/api/backup').expect(200);
  return sha256(new Uint8Array(Buffer.from(body.base64, 'base64')));
};
/** Tables that hold a row of a household, with how many. */
const heldOf = async (householdId: string) => {
  const tables = await server.db.query<{ name: string }>(
    `SELECT c.relname AS name FROM pg_class c
       JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'household_id'
      WHERE c.relkind = 'r' AND c.relnamespace = 'public'::regnamespace ORDER BY 1`,
    { type: QueryTypes.SELECT },
  );
  const held: Record<string, number> = {};
  for (const { name } of tables) {
    const [row] = await server.db.query<{ n: string }>(
      `SELECT count(*) AS n FROM ${name} WHERE household_id = :householdId`,
      { type: QueryTypes.SELECT, replacements: { householdId } },
    );
    if (Number(row!.n) > 0) held[name] = Number(row!.n);
  }
  return held;
};

describe('a household', () => {
  beforeEach(start);

  it('with years of records is erased whole, after its backup, and no other with it', async () => {
    const demo = await ensureHousehold(server.db, loadCatalogue(), {
      key: 'demo',
      timeZone: 'Europe/Berlin',
      now: server.clock.at,
    });
    const owner = await begin();
    await server.db.query(
      `INSERT INTO memberships (household_id, person_id, role, since)
       SELECT '${demo}', id, 'owner', now() FROM people`,
    );
    await owner.put('/api/me/household').send({ id: demo }).expect(200);
    const before = await heldOf(demo);
    expect(Object.keys(before).length).toBeGreaterThan(20);
    const others = await heldOf(server.ids.ours);
    const body = { name: 'The Weir Room', password: PASSWORD, backup: await digestOfBackup(owner) };
    await owner
      .post('/api/households/erasure')
      .send({ ...body, password: 'wrong' })
      .expect(422);
    await owner
      .post('/api/households/erasure')
      .send({ ...body, name: 'The Shed' })
      .expect(422);
    const { body: answer } = await owner.post('/api/households/erasure').send(body).expect(201);
    expect(answer.remains).toHaveLength(1);
    expect(await heldOf(demo)).toEqual({});
    expect(await heldOf(server.ids.ours)).toEqual(others);
    const me = (await owner.get('/api/me').expect(200)).body;
    expect(me.households.map((one: { id: string }) => one.id)).toEqual([server.ids.ours]);
  });

  it('is kept where something came in after its backup', async () => {
    const owner = await begin();
    const house = await smallHouse(server, 'ours', undefined, owner);
    const backup = await digestOfBackup(owner);
    await owner.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    const { body } = await owner
      .post('/api/households/erasure')
      .send({ name: 'ours', password: PASSWORD, backup })
      .expect(409);
    expect(body.detail).toMatch(/^Something was logged since/);
    expect((await heldOf(server.ids.ours)).feedings).toBe(1);
  });

  it('that the server began with is empty then, and waits for its next first owner', async () => {
    const owner = await begin();
    await smallHouse(server, 'ours', undefined, owner);
    await comeAs(owner, 'keeper', 'Finch');
    await owner
      .post('/api/households/erasure')
      .send({ name: 'ours', password: PASSWORD, backup: await digestOfBackup(owner) })
      .expect(201);
    // What is said to other pages is that it was erased, and nothing of what it held.
    const held = Object.keys(await heldOf(server.ids.ours));
    expect(held).toEqual(['change_counters', 'changes', 'moments']);
    expect((await owner.get('/api/me').expect(200)).body.household).toBeNull();
    const next = server.browser();
    await next.post('/api/first-owner').send({ name: 'Rook', password: PASSWORD }).expect(201);
    expect((await next.get('/api/tanks').expect(200)).body.items).toEqual([]);
  });

  it('loses its events by this way alone', async () => {
    const owner = await begin();
    const house = await smallHouse(server, 'ours', undefined, owner);
    await owner.post('/api/feedings').send(sampleFeeding(house)).expect(201);
    const asServer = (sql: string) =>
      server.appDb.query(
        `SET LOCAL open_larder.household = '${server.ids.ours}';
         SET LOCAL open_larder.erasing = '${server.ids.ours}'; ${sql}`,
      );
    await expect(asServer('DELETE FROM feedings')).rejects.toThrow(/write a correcting one/);
    await expect(server.db.query('DELETE FROM feedings')).rejects.toThrow(/correcting one/);
    await expect(server.appDb.query('SELECT erase_household()')).rejects.toThrow(/no household/);
  });
});

describe('a person', () => {
  beforeEach(start);

  it('is erased with all that let them in; the household keeps its records', async () => {
    const owner = await begin();
    const finch = await comeAs(owner, 'feeder', 'Finch');
    const kept = (await finch.get('/api/me/export').expect(200)).body;
    expect(JSON.parse(kept.text)).toMatchObject({
      name: 'Finch',
      households: [{ name: 'ours', role: 'feeder' }],
      codesLeft: 8,
    });
    expect(kept.text).not.toMatch(/argon2|digest|public_key/);
    await finch.post('/api/me/erasure').send({ password: 'wrong' }).expect(422);
    const { body } = await finch.post('/api/me/erasure').send({ password: PASSWORD }).expect(201);
    expect(body.remains[0]).toContain('«Finch» stays');
    expect((await finch.get('/api/me').expect(200)).body.signedIn).toBe('no');
    await finch.post('/api/sign-in').send({ who: 'Finch', password: PASSWORD }).expect(401);
    expect((await owner.get('/api/people').expect(200)).body.people).toHaveLength(1);
    // The name is free again.
    await comeAs(owner, 'guest', 'Finch');
  });

  it('who alone owns a household says first what becomes of it', async () => {
    const owner = await begin();
    const { body } = await owner.post('/api/me/erasure').send({ password: PASSWORD }).expect(409);
    expect(body.detail).toMatch(/^You are the only owner of ours\./);
    await owner.get('/api/tanks').expect(200);
  });
});
