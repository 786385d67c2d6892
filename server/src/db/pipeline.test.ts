import { Sequelize } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { sampleTank } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import type { Scope } from '.';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
afterEach(() => jest.restoreAllMocks());

const ours = () => server.scope('ours');
const number = (scope: Scope, n: number) =>
  scope
    .rows<{ n: number }>('SELECT :n::int AS n FROM households WHERE id = :household', { n })
    .then(([row]) => row!.n);
const tankRow = () => ({ ...sampleTank(), version: 1, archived: false });

/** Messages that were sent during `work`. */
async function messagesOf(work: () => Promise<unknown>): Promise<string[]> {
  const query = jest.spyOn(Sequelize.prototype, 'query');
  await work();
  return query.mock.calls.map(([sql]) => String(sql));
}

/** Connections that were left inside a transaction. */
async function openTransactions(): Promise<number> {
  const [[row]] = (await server.db.query(
    `SELECT count(*)::int AS n FROM pg_stat_activity
      WHERE datname = current_database() AND state LIKE 'idle in transaction%'`,
  )) as [{ n: number }[], unknown];
  return row!.n;
}

describe('the statements of a transaction', () => {
  it('go in one message with BEGIN if queried in the same tick, and are answered in order', async () => {
    let seen: number[] = [];
    const messages = await messagesOf(() =>
      ours().atomically(async (scope) => {
        await scope.lock('three');
        seen = await Promise.all([1, 2, 3].map((n) => number(scope, n)));
        seen.push(await number(scope, 4));
      }),
    );
    expect(seen).toEqual([1, 2, 3, 4]);
    expect(messages).toHaveLength(3);
    expect(messages[0]).toMatch(/START TRANSACTION;[^]*SET LOCAL[^]*advisory[^]*1[^]*2[^]*3/);
    expect(messages[2]).toMatch(/COMMIT$/);
  });

  it('fail together with the one that fails, and refuse what comes after', async () => {
    const row = tankRow();
    await ours().insert('tanks', [row]);
    const before = await count(server.db, 'tanks');
    const tried = ours().atomically(async (scope) => {
      const parts = await Promise.allSettled([
        number(scope, 1),
        scope.insert('tanks', [row]),
        scope.insert('tanks', [tankRow()]),
      ]);
      expect(parts.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
      await number(scope, 2);
    });
    await expect(tried).rejects.toMatchObject({ parent: { code: '25P02' } });
    expect(await count(server.db, 'tanks')).toBe(before);
    expect(await openTransactions()).toBe(0);
  });

  it('are not acknowledged if a failure was ignored', async () => {
    const row = tankRow();
    await ours().insert('tanks', [row]);
    const before = await count(server.db, 'tanks');
    const tried = ours().atomically(async (scope) => {
      await scope.insert('tanks', [tankRow()]);
      await scope.insert('tanks', [row]).catch(() => undefined);
    });
    await expect(tried).rejects.toThrow('nothing was written');
    expect(await count(server.db, 'tanks')).toBe(before);
    expect(await openTransactions()).toBe(0);
  });

  it('are never sent after the transaction failed', async () => {
    const late: Promise<unknown>[] = [];
    for (let time = 0; time < 20; time += 1) {
      const tried = ours().atomically(async (scope) => {
        if (time % 2) await number(scope, 1);
        late.push(number(scope, 2).catch((error: Error) => error.message));
        throw new Error('the lamp went out');
      });
      await expect(tried).rejects.toThrow('the lamp went out');
    }
    const said = new Set(await Promise.all(late));
    said.delete(2);
    expect([...said].every((one) => one === 'the transaction was aborted')).toBe(true);
    expect(await openTransactions()).toBe(0);
  });

  it('keep texts as they were written', async () => {
    const row = { ...tankRow(), name: "it's :household; -- $1 \\ “x”" };
    await ours().atomically((scope) => scope.insert('tanks', [row]));
    const [kept] = await ours().rows<{ name: string }>(
      'SELECT name FROM tanks WHERE household_id = :household AND id = :id',
      { id: row.id },
    );
    expect(kept!.name).toBe(row.name);
  });
});

describe('a prepared statement', () => {
  const named = (scope: Scope, id: string, day = '2026-03-11') =>
    scope.prepared.rows<{ name: string; at: string }>(
      `SELECT name, to_char(CAST(:day AS date), 'YYYY-MM-DD HH24:MI') AS at FROM tanks
        WHERE household_id = :household AND id IN (:ids)`,
      { ids: [id], day },
    );

  it('is planned once per connection, and returns the same rows', async () => {
    const row = { ...tankRow(), name: "Wren's :ids" };
    await ours().insert('tanks', [row]);
    const work = () =>
      ours().atomically(async (scope) => {
        for (let time = 0; time < 4; time += 1) {
          expect(await named(scope, row.id)).toEqual([{ name: row.name, at: '2026-03-11 00:00' }]);
          expect(await named(scope, uuidv7())).toEqual([]);
        }
      });
    const messages = await messagesOf(work);
    expect(messages.filter((one) => one.includes('PREPARE')).length).toBeLessThanOrEqual(1);
    expect(messages.filter((one) => one.includes('EXECUTE'))).toHaveLength(8);
  });

  it('is prepared again if its first message failed', async () => {
    const row = tankRow();
    await ours().insert('tanks', [row]);
    const other = (scope: Scope) =>
      scope.prepared.rows('SELECT 1 AS n FROM tanks WHERE household_id = :household AND id = :id', {
        id: row.id,
      });
    const tried = ours().atomically((scope) =>
      Promise.all([other(scope), scope.insert('tanks', [row])]),
    );
    await expect(tried).rejects.toMatchObject({ parent: { code: '23505' } });
    for (let time = 0; time < 12; time += 1) {
      expect(await ours().atomically((scope) => other(scope))).toEqual([{ n: 1 }]);
    }
  });

  it('refuses a list of several values', async () => {
    const asked = ours().atomically((scope) =>
      scope.prepared.rows('SELECT 1 FROM tanks WHERE household_id = :household AND id IN (:ids)', {
        ids: [uuidv7(), uuidv7()],
      }),
    );
    await expect(asked).rejects.toThrow('a list of several');
    expect(await openTransactions()).toBe(0);
  });
});
