import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import pg from 'pg';

const root = join(__dirname, '..');

/** Journeys happen on a Wednesday after lunch, whenever they are run: the day's moments stand still. */
export const NOW = '2026-03-11T13:00:00Z';

/** A machine that is busy with others may stay in still for a minute. */
const PATIENCE_MS = 180_000;

export type Household = 'demo' | 'empty';

/** Database that a product of this household begins as: made once a run, copied for each test. */
export const beginning = (household: Household) => `j_begin_${household}`;

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Address of a database of the tests. */
export const databaseUrl = (name: string) => adminUrl().replace(/\/[^/]*$/, `/${name}`);

function adminUrl(): string {
  const url = process.env.OPEN_LARDER_TEST_DB_URL;
  if (!url) throw new Error('run the journeys with npm test: they need its database');
  return url;
}

/** Make a database anew, as a copy of another where one is named. */
export async function makeDatabase(name: string, copyOf?: string): Promise<void> {
  await admin([
    `DROP DATABASE IF EXISTS ${name} WITH (FORCE)`,
    `CREATE DATABASE ${name}${copyOf ? ` TEMPLATE ${copyOf}` : ''}`,
  ]);
}

export const dropDatabase = (name: string) => admin([`DROP DATABASE ${name} WITH (FORCE)`]);

async function admin(statements: string[]): Promise<void> {
  const client = new pg.Client(adminUrl());
  await client.connect();
  try {
    for (const statement of statements) await client.query(statement);
  } finally {
    await client.end();
  }
}

async function untilReady(url: string, server: ChildProcess): Promise<void> {
  const patience = Date.now() + PATIENCE_MS;
  while (Date.now() < patience) {
    if (server.exitCode !== null) throw new Error(`the server ended with ${server.exitCode}`);
    const ready = await fetch(`${url}/api/ready`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`the server was not ready within ${PATIENCE_MS / 1000} s`);
}

export interface Server {
  url: string;
  /** @param env in place of what it was started with before */
  start: (now: string, env?: NodeJS.ProcessEnv) => Promise<void>;
  end: (signal: 'SIGKILL' | 'SIGTERM') => Promise<void>;
}

/** A server over a database, on a port of its own that outlasts its restarts. */
export async function serverOver(
  database: string,
  household: Household,
  { signIn = 'itself', env = {} }: { signIn?: 'itself' | 'people'; env?: NodeJS.ProcessEnv } = {},
): Promise<Server> {
  const port = await freePort();
  const url = `http://localhost:${port}`;
  let server: ChildProcess | undefined;
  return {
    url,
    async start(now, other = {}) {
      server = spawn(process.execPath, ['--import', 'tsx', join('server', 'src', 'main.ts')], {
        cwd: root,
        env: {
          ...process.env,
          OPEN_LARDER_PORT: String(port),
          OPEN_LARDER_DB_URL: databaseUrl(database),
          OPEN_LARDER_HOUSEHOLD: household,
          OPEN_LARDER_SIGN_IN: signIn,
          OPEN_LARDER_TIME_ZONE: 'UTC',
          OPEN_LARDER_CLOCK: now,
          OPEN_LARDER_LOG: 'warn',
          ...env,
          ...other,
        },
        stdio: ['ignore', 'ignore', 'inherit'],
      });
      await untilReady(url, server);
    },
    end: (signal) =>
      new Promise((resolve) => {
        if (!server || server.exitCode !== null || server.signalCode !== null) return resolve();
        server.once('exit', () => resolve());
        server.kill(signal);
      }),
  };
}
