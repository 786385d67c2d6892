import { role, type Role } from '@open-larder/contract';
import { loadCatalogue } from '@open-larder/catalogue/load';
import type { Express } from 'express';
import type { Logger } from 'pino';
import { QueryTypes, type Sequelize } from 'sequelize';
import supertest from 'supertest';
import { v7 as uuidv7 } from 'uuid';
import { createApp } from '../app';
import { hangBell, type Bell } from '../changes/bell';
import type { Clock } from '../clock';
import { asAppRole, connect, migrate, Registry, Scope } from '../db';
import { modelOf } from '../db/models';
import { ON_LOOPBACK, type Reach } from '../http/reach';
import { makeLog } from '../log';
import type { PeopleParts } from '../people/routes';
import { openSessions } from '../people/sessions';
import { keeperByItself } from '../people/visitor';
import { waitsIn } from '../people/waits';

/** A server over a real PostgreSQL, with two households that must never meet. */
export interface TestServer {
  app: Express;
  /** As the owner of the tables, which no wall between households stops. */
  db: Sequelize;
  /** As the server itself asks. */
  appDb: Sequelize;
  /** Ask as one of the two households, or as one of the test’s own by its id. */
  as: (household: string, role?: Role) => ReturnType<typeof supertest.agent>;
  /** A browser of its own, whose session counts: for a server on which people sign in. */
  browser: () => ReturnType<typeof supertest.agent>;
  ids: { ours: string; theirs: string };
  people: PeopleParts;
  scope: (household: 'ours' | 'theirs') => Scope;
  clock: { at: Date };
  close: () => Promise<void>;
}

const HEADER = 'x-test-household';
const ROLE = 'x-test-role';

interface Wanted {
  log?: Logger;
  /** People sign in, in place of a header that says which household it is, in what role. */
  people?: boolean;
  setUpCode?: string | null;
  /** What a phone opens to reach it. */
  address?: string | null;
  reach?: Reach;
  /** Pages are told of changes as they come. */
  rings?: boolean;
}

/** A database of its own for each test file, on the server that the test script has started. */
async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const base = process.env.OPEN_LARDER_TEST_DB_URL;
  if (!base) throw new Error('run the tests with npm test: they need its database');
  const name = `t_${uuidv7().replaceAll('-', '')}`;
  const admin = connect(base);
  await admin.query(`CREATE DATABASE ${name}`);
  const url = base.replace(/\/[^/]*$/, `/${name}`);
  return {
    url,
    drop: async () => {
      await admin.query(`DROP DATABASE ${name} WITH (FORCE)`);
      await admin.close();
    },
  };
}

export async function startTestServer({
  log = makeLog('silent'),
  people = false,
  setUpCode = null,
  address = null,
  reach = ON_LOOPBACK,
  rings = false,
}: Wanted = {}): Promise<TestServer> {
  const { url, drop } = await freshDatabase();
  const db = connect(url, { patient: true });
  await migrate(db);
  const ids = { ours: uuidv7(), theirs: uuidv7() };
  for (const [key, id] of Object.entries(ids)) {
    await modelOf(db, 'households').create({
      id,
      key,
      name: key,
      timeZone: 'Europe/Berlin',
      units: 'metric',
      temperature: 'C',
      hardness: 'dGH',
      clock: '24',
      weekStart: 1,
      currency: 'EUR',
      deliveryDays: 4,
      version: 1,
    });
  }
  const idOf = (household: string) =>
    household === 'ours' || household === 'theirs' ? ids[household] : household;
  const clock = { at: new Date('2026-03-10T12:00:00Z') };
  const running = { now: () => clock.at } satisfies Clock;
  const appUrl = await asAppRole(db, url);
  const appDb = connect(appUrl, { patient: true });
  const registry = new Registry(appDb);
  const sessions = await openSessions({
    dbUrl: appUrl,
    registry,
    clock: running,
    secure: reach.secure,
  });
  const byHeader = keeperByItself((request) => ({
    id: idOf(request.header(HEADER) ?? 'ours'),
    role: role.parse(request.header(ROLE) ?? 'owner'),
  }));
  const peopleParts = {
    registry,
    clock: running,
    waits: waitsIn(sessions.pool),
    offered: ids.ours,
    setUpCode,
    address,
  };
  const bell: Bell | undefined = rings ? hangBell(appUrl) : undefined;
  const app = createApp({
    db: appDb,
    catalogue: loadCatalogue(),
    clock: running,
    log,
    visitorOf: people ? sessions.visitorOf : byHeader,
    readSession: people ? sessions.read : undefined,
    people: peopleParts,
    reach,
    bell,
  });
  return {
    app,
    db,
    appDb,
    clock,
    ids,
    people: peopleParts,
    as: (household, who = 'owner') =>
      supertest.agent(app).set(HEADER, household).set(ROLE, who).set('Host', 'localhost'),
    browser: () => supertest.agent(app).set('Host', 'localhost'),
    scope: (household) => new Scope(appDb, ids[household]),
    close: async () => {
      await bell?.close();
      await sessions.close();
      await appDb.close();
      await db.close();
      await drop();
    },
  };
}

export const count = async (db: Sequelize, table: string): Promise<number> => {
  const [row] = await db.query<{ n: number }>(`SELECT count(*) AS n FROM ${table}`, {
    type: QueryTypes.SELECT,
  });
  return row?.n ?? 0;
};
