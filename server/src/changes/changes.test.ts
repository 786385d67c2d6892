import type { Changes, Present } from '@open-larder/contract';
import { PAGE_HEADER } from '@open-larder/contract/paths';
import { once } from 'node:events';
import { createServer, get as request, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { v7 as uuidv7 } from 'uuid';
import { changesAfter, noteChange } from './store';
import { sampleTank } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let http: Server;
beforeAll(async () => {
  server = await startTestServer({ rings: true });
  http = createServer(server.app).listen(0, '127.0.0.1');
});
afterAll(async () => {
  await server.close();
  http.closeAllConnections();
  http.close();
});

const makeTank = (page?: string, household = 'ours') => {
  const sent = server.as(household).post('/api/tanks');
  return (page ? sent.set(PAGE_HEADER, page) : sent).send(sampleTank()).expect(201);
};
const changesSince = async (after?: string): Promise<Changes> =>
  (
    await server
      .as('ours')
      .get('/api/changes')
      .query(after ? { after } : {})
      .expect(200)
  ).body;

interface Heard {
  id: string;
  event: string;
  data: { route: string; page: string | null } & Present[];
}

/** A page that follows what changes. */
async function follow(after?: string, household = 'ours', on: Server = http) {
  const heard: Heard[] = [];
  const waiting = new Set<() => void>();
  if (!on.listening) await once(on, 'listening');
  const { port } = on.address() as AddressInfo;
  const response = await new Promise<IncomingMessage>((resolve, reject) =>
    request(
      {
        port,
        path: '/api/changes',
        headers: {
          Accept: 'text/event-stream',
          Host: 'localhost',
          'x-test-household': household,
          ...(after && { 'Last-Event-ID': after }),
        },
      },
      resolve,
    ).on('error', reject),
  );
  let text = '';
  let at = after ?? '';
  response.setEncoding('utf8').on('data', (piece: string) => {
    text += piece;
    const events = text.split('\n\n');
    text = events.pop()!;
    for (const event of events) {
      const field = (name: string) => event.match(new RegExp(`^${name}: (.*)$`, 'm'))?.[1] ?? '';
      at = field('id') || at;
      if (field('data')) {
        heard.push({ id: field('id'), event: field('event'), data: JSON.parse(field('data')) });
      }
    }
    waiting.forEach((look) => look());
  });
  const until = (what: () => boolean) =>
    new Promise<void>((resolve) => {
      const look = () => {
        if (!what()) return;
        waiting.delete(look);
        resolve();
      };
      waiting.add(look);
      look();
    });
  return {
    response,
    heard,
    until,
    at: () => at,
    changes: () => heard.filter(({ event }) => event === 'change').map(({ data }) => data),
    leave: () => response.destroy(),
  };
}

describe('what changes in a household', () => {
  it('is listed in order, with the page that sent it, and not twice', async () => {
    const { position } = await changesSince();
    await makeTank('a-page');
    await makeTank();
    const news = await changesSince(position);
    expect(news.changes.map(({ route, page }) => [route, page])).toEqual([
      ['createTank', 'a-page'],
      ['createTank', null],
    ]);
    expect(news.whole).toBe(true);
    expect((await changesSince(news.position)).changes).toEqual([]);
    expect((await changesSince(news.changes[0]!.position)).changes).toHaveLength(1);
  });

  it('names what an address names, and nothing that was refused or sent again', async () => {
    const { position } = await changesSince();
    const tank = sampleTank();
    const send = () => server.as('ours').post('/api/tanks').send(tank);
    await send().expect(201);
    await send().expect(201);
    await server
      .as('ours')
      .post('/api/tanks')
      .send({ ...tank, id: uuidv7(), name: '' })
      .expect(422);
    await server
      .as('ours')
      .put(`/api/tanks/${tank.id}`)
      .send({ ...tank, id: undefined, version: 1, archived: false, name: 'Weir' })
      .expect(200);
    const { changes } = await changesSince(position);
    expect(changes.map(({ route, subject }) => [route, subject])).toEqual([
      ['createTank', null],
      ['editTank', tank.id],
    ]);
  });

  it('has no gap where many change it at once, and none comes into force behind what was read', async () => {
    const scope = server.scope('ours');
    let { position } = await changesSince();
    const note = (subject: string) =>
      scope.atomically(async (inside) =>
        noteChange(inside, { route: 'editTank', subject, page: null }),
      );
    let under = 40;
    const all = Promise.all(
      Array.from({ length: under }, (_, at) => note(String(at)).finally(() => (under -= 1))),
    );
    const seen: (string | null)[] = [];
    const read = async () => {
      const news = await changesAfter(scope, position);
      position = news.position;
      seen.push(...news.changes.map(({ subject }) => subject));
    };
    while (under > 0) await read();
    await all;
    await read();
    expect(seen).toHaveLength(40);
    expect(new Set(seen).size).toBe(40);
  });

  it('is whole after a week or less; after more, all is to be read anew', async () => {
    const scope = server.scope('theirs');
    const subject = null;
    const note = () =>
      scope.atomically(async (inside) =>
        noteChange(inside, { route: 'editTank', subject, page: null }),
      );
    const { position } = await changesAfter(scope, undefined);
    await note();
    await note();
    expect((await changesAfter(scope, position)).changes).toHaveLength(2);
    const theirs = { replacements: { theirs: server.ids.theirs } };
    await server.db.query(
      `UPDATE changes SET recorded_at = now() - interval '8 days' WHERE household_id = :theirs`,
      theirs,
    );
    // What is too old is swept with one change in so many.
    await server.db.query(
      'UPDATE change_counters SET last = 499 WHERE household_id = :theirs',
      theirs,
    );
    await note();
    const late = await changesAfter(scope, position);
    expect([late.whole, late.changes.length]).toEqual([false, 0]);
    expect((await changesAfter(scope, late.position)).whole).toBe(true);
    const [rows] = await server.db.query(
      'SELECT 1 FROM changes WHERE household_id = :theirs',
      theirs,
    );
    expect(rows).toHaveLength(1);
  });

  it('of a database that was put back is read anew', async () => {
    const { position } = await changesSince();
    await makeTank();
    const [seq] = position.split('-');
    const elsewhere = `${seq}-${uuidv7()}`;
    expect(await changesSince(elsewhere)).toMatchObject({ whole: false, changes: [] });
    const beyond = position.replace(/^\d+/, '999999');
    expect((await changesSince(beyond)).whole).toBe(false);
  });
});

describe('a page that follows', () => {
  it('hears of each change as it comes, and after a gap of those that it missed', async () => {
    const page = await follow();
    await page.until(() => page.at() !== '');
    await makeTank();
    await page.until(() => page.changes().length === 1);
    page.leave();
    await Promise.all([makeTank(), makeTank(), makeTank(undefined, 'theirs')]);
    const back = await follow(page.at());
    await back.until(() => back.changes().length === 2);
    await makeTank();
    await back.until(() => back.changes().length === 3);
    back.leave();
    const all = [...page.heard, ...back.heard].filter(({ event }) => event === 'change');
    expect(new Set(all.map(({ id }) => id)).size).toBe(4);
  });

  it('of another household hears nothing', async () => {
    const theirs = await follow(undefined, 'theirs');
    await theirs.until(() => theirs.at() !== '');
    await makeTank();
    await makeTank(undefined, 'theirs');
    await theirs.until(() => theirs.changes().length > 0);
    theirs.leave();
    expect(theirs.changes()).toHaveLength(1);
  });

  it('sees who is in the Round, and where, until they leave', async () => {
    const page = await follow();
    const other = uuidv7();
    const { body: tank } = await makeTank();
    const say = (inRound: boolean) =>
      server
        .as('ours')
        .put('/api/presence')
        .send({ page: other, tankId: tank.id, inRound })
        .expect(200);
    const here = () => page.heard.findLast(({ event }) => event === 'here')?.data ?? [];
    await say(true);
    await page.until(() => here().length === 1);
    expect(here()).toEqual([{ page: other, name: null, tankId: tank.id }]);
    await say(false);
    await page.until(() => here().length === 0);
    page.leave();
  });

  it('is sent on as the server stops', async () => {
    const own = await startTestServer({ rings: true });
    const listening = createServer(own.app).listen(0, '127.0.0.1');
    const page = await follow(undefined, 'ours', listening);
    const ended = new Promise((resolve) => page.response.once('end', resolve));
    await own.close();
    await ended;
    listening.closeAllConnections();
    listening.close();
  });
});
