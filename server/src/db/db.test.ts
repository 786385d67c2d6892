import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { readConfig } from '../config';
import { sampleTank } from '../testing/samples';
import { camelCased } from './camel';
import * as knowTheFish from './migrations/0002-know-the-fish';
import * as signsAsFigures from './migrations/0026-signs-as-figures';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import { cutPage, migrate, readCursor } from '.';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const tankRow = () => {
  const { ...row } = sampleTank();
  return { ...row, version: 1, archived: false };
};

describe('migrations', () => {
  it('run once, every one of the folder, and leave a mark', async () => {
    expect(await migrate(server.db)).toEqual([]);
    const files = readdirSync(join(__dirname, 'migrations'));
    expect(await count(server.db, 'migrations')).toBe(files.length);
  });

  it('of two servers that start together do not meet', async () => {
    expect(await Promise.all([migrate(server.db), migrate(server.db)])).toEqual([[], []]);
  });

  it('every table carries its household, but for those about people', async () => {
    const rows = await server.db.query<{ tableName: string }>(
      `SELECT t.table_name AS "tableName" FROM information_schema.tables t
        WHERE t.table_schema = 'public' AND t.table_type = 'BASE TABLE'
          AND t.table_name NOT IN ('households', 'migrations')
          AND NOT EXISTS (SELECT 1 FROM information_schema.columns c
                           WHERE c.table_name = t.table_name AND c.column_name = 'household_id'
                             AND c.is_nullable = 'NO')
        ORDER BY 1`,
      { type: QueryTypes.SELECT },
    );
    expect(rows.map(({ tableName }) => tableName)).toEqual([
      'pairings',
      'passkey_challenges',
      'passkeys',
      'people',
      'recovery_codes',
      'server_keys',
      'sessions',
      'sign_in_waits',
    ]);
  });
});

describe('the door to the database', () => {
  it('opens to no query that forgets the household', async () => {
    await expect(server.scope('ours').rows('SELECT * FROM tanks')).rejects.toThrow(/:household/);
  });

  it('lets a transaction happen whole or not at all', async () => {
    const before = await count(server.db, 'tanks');
    await expect(
      server.scope('ours').atomically(async (scope) => {
        await scope.insert('tanks', [tankRow()]);
        throw new Error('the lamp went out');
      }),
    ).rejects.toThrow('the lamp went out');
    expect(await count(server.db, 'tanks')).toBe(before);
  });

  it('asks one question at a time inside a transaction, in order', async () => {
    const seen = await server.scope('ours').atomically(async (scope) => {
      const row = tankRow();
      const write = scope.insert('tanks', [row]);
      await write;
      return Promise.all(
        [1, 2, 3].map((n) =>
          scope.rows<{ n: number }>('SELECT :n::int AS n FROM households WHERE id = :household', {
            n,
          }),
        ),
      );
    });
    expect(seen.map(([row]) => row?.n)).toEqual([1, 2, 3]);
  });

  it('passes over a repeated id only where that is asked for', async () => {
    const row = tankRow();
    await server.scope('ours').insert('tanks', [row]);
    await server.scope('ours').insertOnce('tanks', [row]);
    await expect(server.scope('ours').insert('tanks', [row])).rejects.toMatchObject({
      parent: { code: '23505' },
    });
  });

  it('refuses a reference into another household, whatever the program says', async () => {
    const row = tankRow();
    await server.scope('ours').insert('tanks', [row]);
    const groupId = uuidv7();
    await server
      .scope('theirs')
      .insert('groups', [{ id: groupId, name: 'G', speciesKey: 'x', version: 1 }]);
    await expect(
      server
        .scope('theirs')
        .insert('stays', [{ id: uuidv7(), groupId, tankId: row.id, during: ['2026-01-01', null] }]),
    ).rejects.toMatchObject({ parent: { code: '23503' } });
  });
});

describe('a house from before', () => {
  it('keeps its stays as events when the lives of groups become events', async () => {
    const tank = tankRow();
    const groupId = uuidv7();
    const scope = server.scope('ours');
    await scope.insert('tanks', [tank]);
    await scope.insert('groups', [{ id: groupId, name: 'Old', speciesKey: 'x', version: 1 }]);
    await scope.insert('stays', [
      { id: uuidv7(), groupId, tankId: tank.id, during: ['2026-01-01', '2026-02-01'] },
      { id: uuidv7(), groupId, tankId: tank.id, during: ['2026-02-01', null] },
    ]);
    // The statement of the migration, over rows as they stood before it.
    const [statement] = /INSERT INTO group_events[^;]+;/.exec(knowTheFish.up) ?? [''];
    await server.db.query(statement);
    const events = await scope.rows<{ kind: string; day: string; tankId: string }>(
      `SELECT kind, day::text, tank_id FROM group_events
        WHERE household_id = :household AND group_id = :groupId ORDER BY day`,
      { groupId },
    );
    expect(events).toEqual([
      { kind: 'moved', day: '2026-01-01', tankId: tank.id },
      { kind: 'moved', day: '2026-02-01', tankId: tank.id },
    ]);
  });
});

describe('answers of an older house', () => {
  it.each([
    ['belly', 'flat still', { kind: 'belly', score: 2, still: true }],
    ['belly', 'well filled', { kind: 'belly', score: 3, still: false }],
    ['cleared', 'gone after 1 min of 15', { kind: 'cleared', minutes: 1, ofMinutes: 15 }],
    ['left', '25 % left', { kind: 'left', share: 0.25 }],
    ['mass', '80 % of the usual mass', { kind: 'mass', ofUsual: 0.8 }],
    [
      'growth',
      'behind their kind: 2.5 cm, 5.1 cm usual',
      { kind: 'growth', cm: 2.5, usualCm: 5.1, behind: true },
    ],
    [
      'growth',
      'growing: 1 in, 2 in usual',
      { kind: 'growth', cm: 2.54, usualCm: 5.08, behind: false },
    ],
    [
      'nitrate',
      'nitrate is at 60 mg/L, Old loaches tolerate 20',
      {
        kind: 'nitrate',
        now: true,
        mgL: 60,
        capMgL: 20,
        groupName: 'Old loaches',
        grows: false,
      },
    ],
    [
      'nitrate',
      'it peaks at 33 mg/L; Loaches tolerate 20',
      { kind: 'nitrate', now: false, mgL: 33, capMgL: 20, groupName: 'Loaches', grows: false },
    ],
    ['nitrate', 'nitrite is in the water', { kind: 'poison', which: 'nitrite' }],
  ])('keep what spoke for them as figures: %s, «%s»', async (kind, says, seen) => {
    const scope = server.scope('ours');
    const [tank, groupId, id] = [tankRow(), uuidv7(), uuidv7()];
    await scope.insert('tanks', [tank]);
    await scope.insert('groups', [{ id: groupId, name: 'Old', speciesKey: 'x', version: 1 }]);
    const sign = { kind, day: '2026-03-01', pull: 0.5, weight: 1, says };
    const answer = { id, groupId, tankId: null, kind: 'portions', foodId: null, accepted: false };
    await scope.insert('answers', [
      {
        ...answer,
        later: false,
        version: 1,
        day: '2026-03-02',
        at: '2026-03-02T09:00:00Z',
        signs: [sign],
      },
    ]);
    await server.db.query(signsAsFigures.up);
    const [kept] = await scope.rows<{ signs: unknown }>(
      'SELECT signs FROM answers WHERE household_id = :household AND id = :id',
      { id },
    );
    expect(kept!.signs).toEqual([{ day: '2026-03-01', pull: 0.5, weight: 1, seen }]);
  });
});

describe('names of columns', () => {
  it('are camelCase in the program, whatever the query names', () => {
    expect(camelCased([{ walk_order: 1, ph: null }])).toEqual([{ walkOrder: 1, ph: null }]);
    expect(camelCased([])).toEqual([]);
  });

  it('are plain: nothing else is ever compiled', () => {
    expect(() => camelCased([{ 'a: 1, b': 2 }])).toThrow(/plain letters/);
    expect(() => camelCased([{ '?column?': 2 }])).toThrow(/plain letters/);
  });
});

describe('pages', () => {
  it('end without a cursor, and continue after the last row given', () => {
    expect(cutPage([1, 2], 2, (row) => [row])).toEqual({ items: [1, 2], next: null });
    const { items, next } = cutPage([1, 2, 3], 2, (row) => [row]);
    expect(items).toEqual([1, 2]);
    expect(readCursor(next ?? undefined, 'seq')).toEqual([2]);
  });

  it.each([
    '',
    '%%%',
    Buffer.from('{"a":1}').toString('base64url'),
    Buffer.from('[1,2]').toString('base64url'),
  ])('refuse the cursor «%s»', (cursor) => {
    expect(() => readCursor(cursor, 'seq')).toThrow(/cannot be continued/);
  });
});

describe('settings', () => {
  const good = { OPEN_LARDER_DB_URL: 'postgres://u:p@127.0.0.1:1/d' };

  it('have defaults', () => {
    expect(readConfig(good)).toMatchObject({ port: 4310, household: 'demo', logLevel: 'info' });
  });

  it.each([
    [{}, /OPEN_LARDER_DB_URL/],
    [{ ...good, OPEN_LARDER_PORT: '70000' }, /OPEN_LARDER_PORT/],
    [{ ...good, OPEN_LARDER_HOUSEHOLD: 'castle' }, /OPEN_LARDER_HOUSEHOLD/],
  ])('are refused by name: %#', (env, words) => {
    expect(() => readConfig(env)).toThrow(words);
  });
});
