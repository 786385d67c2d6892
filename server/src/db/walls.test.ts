import { QueryTypes } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  for (const household of ['ours', 'theirs'] as const) await smallHouse(server, household);
});
afterAll(() => server.close());

/** Statements as the server’s own role, without the scope that asks for one household alone. */
const without = async (household: string | null, sql: string) =>
  (
    (await server.appDb.query(
      `SET LOCAL open_larder.household = '${household ?? ''}'; ${sql}`,
    )) as unknown as [{ id: string; householdId?: string }[]]
  )[0];

describe('the second wall between households', () => {
  it('stands before every table of a household', async () => {
    const open = await server.db.query<{ relname: string }>(
      `SELECT c.relname FROM pg_class c
         JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'household_id'
        WHERE c.relkind = 'r' AND c.relnamespace = 'public'::regnamespace
          AND NOT (c.relrowsecurity AND EXISTS (
                SELECT 1 FROM pg_policy p WHERE p.polrelid = c.oid AND p.polname = 'own_household'))
        ORDER BY 1`,
      { type: QueryTypes.SELECT },
    );
    expect(open.map(({ relname }) => relname)).toEqual(['invitations', 'memberships', 'pairings']);
  });

  it('every view is asked as who asks, not as its owner', async () => {
    const views = await server.db.query<{ relname: string; invoker: boolean }>(
      `SELECT relname, 'security_invoker=true' = ANY (reloptions) AS invoker
         FROM pg_class WHERE relkind = 'v' AND relnamespace = 'public'::regnamespace`,
      { type: QueryTypes.SELECT },
    );
    expect(views.length).toBeGreaterThan(3);
    expect(views.filter(({ invoker }) => invoker !== true)).toEqual([]);
  });

  it('shows a query that forgets the household only its own rows, and none without one', async () => {
    for (const table of ['tanks', 'groups', 'foods', 'moments', 'diets', 'stock_events']) {
      const all = await without(server.ids.ours, `SELECT household_id FROM ${table}`);
      expect(all.length).toBeGreaterThan(0);
      const owners = new Set(all.map((row) => (row as { household_id?: string }).household_id));
      expect([...owners]).toEqual([server.ids.ours]);
      expect(await without(null, `SELECT 1 FROM ${table}`)).toEqual([]);
    }
    expect(await without(server.ids.ours, 'SELECT id FROM households')).toEqual([
      { id: server.ids.ours },
    ]);
  });

  it('lets nothing of another household be changed, deleted or written', async () => {
    const changed = `UPDATE tanks SET name = 'Taken' WHERE household_id = '${server.ids.theirs}' RETURNING id`;
    expect(await without(server.ids.ours, changed)).toEqual([]);
    const dropped = `DELETE FROM moments WHERE household_id = '${server.ids.theirs}' RETURNING id`;
    expect(await without(server.ids.ours, dropped)).toEqual([]);
    const written = `INSERT INTO moments (id, household_id, name, anchor, minutes, spare_min)
      VALUES ('${uuidv7()}', '${server.ids.theirs}', 'Theirs', 'clock', 1, 1)`;
    await expect(without(server.ids.ours, written)).rejects.toThrow(/row-level security/);
  });

  it('is not one that the server’s own role could take down', async () => {
    const [role] = await server.appDb.query<Record<string, boolean>>(
      `SELECT rolsuper, rolbypassrls, rolcreaterole,
              EXISTS (SELECT 1 FROM pg_class WHERE relowner = r.oid) AS owns
         FROM pg_roles r WHERE rolname = current_user`,
      { type: QueryTypes.SELECT },
    );
    expect(role).toEqual({
      rolsuper: false,
      rolbypassrls: false,
      rolcreaterole: false,
      owns: false,
    });
    for (const sql of [
      'ALTER TABLE tanks DISABLE ROW LEVEL SECURITY',
      'DROP POLICY own_household ON tanks',
      'DROP TABLE feedings',
      "DELETE FROM migrations WHERE name = '0001-house'",
      'SET ROLE larder',
    ]) {
      await expect(server.appDb.query(sql)).rejects.toThrow(/permission denied|must be owner/);
    }
  });
});
