import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';
import pg from 'pg';

/** The product as a person starts it: a server over a database of its own, and its address. */
export interface Product {
  url: string;
  /** kill -9, then start again over the same data. */
  crashAndRestart: () => Promise<void>;
  /** Let it be another time, for the product and for whoever looks at it. */
  letItBe: (page: Page, now: string) => Promise<void>;
}

const root = join(__dirname, '..');

/** Journeys happen on a Wednesday after lunch, whenever they are run: the day's moments stand still. */
const NOW = '2026-03-11T13:00:00Z';

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

async function withAdmin(work: (client: pg.Client) => Promise<unknown>): Promise<string> {
  const url = process.env.OPEN_LARDER_TEST_DB_URL;
  if (!url) throw new Error('run the journeys with npm test: they need its database');
  const client = new pg.Client(url);
  await client.connect();
  try {
    await work(client);
  } finally {
    await client.end();
  }
  return url;
}

async function untilReady(url: string, server: ChildProcess): Promise<void> {
  const patience = Date.now() + 60_000;
  while (Date.now() < patience) {
    if (server.exitCode !== null) throw new Error(`the server ended with ${server.exitCode}`);
    const ready = await fetch(`${url}/api/ready`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the server was not ready within a minute');
}

async function startProduct(household: 'demo' | 'empty', name: string) {
  const admin = await withAdmin(async (client) => {
    await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
    await client.query(`CREATE DATABASE ${name}`);
  });
  const port = await freePort();
  const url = `http://localhost:${port}`;
  let now = NOW;
  const start = async () => {
    const server = spawn(process.execPath, ['--import', 'tsx', join('server', 'src', 'main.ts')], {
      cwd: root,
      env: {
        ...process.env,
        OPEN_LARDER_PORT: String(port),
        OPEN_LARDER_DB_URL: admin.replace(/\/[^/]*$/, `/${name}`),
        OPEN_LARDER_HOUSEHOLD: household,
        OPEN_LARDER_TIME_ZONE: 'UTC',
        OPEN_LARDER_CLOCK: now,
        OPEN_LARDER_LOG: 'warn',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    await untilReady(url, server);
    return server;
  };
  let server = await start();
  const end = (signal: 'SIGKILL' | 'SIGTERM') =>
    new Promise<void>((resolve) => {
      server.once('exit', () => resolve());
      server.kill(signal);
    });
  return {
    product: {
      url,
      async crashAndRestart() {
        await end('SIGKILL');
        server = await start();
      },
      async letItBe(page, later) {
        now = later;
        await end('SIGTERM');
        server = await start();
        await page.context().clock.setFixedTime(later);
      },
    } satisfies Product,
    async stop() {
      await end('SIGTERM');
      await withAdmin((client) => client.query(`DROP DATABASE ${name} WITH (FORCE)`));
    },
  };
}

interface Fixtures {
  demo: Product;
  empty: Product;
}

/** Each test that asks for a product gets one of its own. Nothing may leave this machine. */
export const test = base.extend<Fixtures>({
  demo: async ({ page: _ }, use, info) => {
    const { product, stop } = await startProduct(
      'demo',
      `j_demo_${info.project.name}_${info.workerIndex}`,
    );
    await use(product);
    await stop();
  },
  empty: async ({ page: _ }, use, info) => {
    const { product, stop } = await startProduct(
      'empty',
      `j_empty_${info.project.name}_${info.workerIndex}`,
    );
    await use(product);
    await stop();
  },
  context: async ({ context }, use) => {
    const strangers: string[] = [];
    await context.clock.setFixedTime(NOW);
    context.on('request', (request) => {
      const { hostname, protocol } = new URL(request.url());
      if (protocol.startsWith('http') && hostname !== 'localhost') strangers.push(request.url());
    });
    await use(context);
    expect(strangers, 'nothing is fetched from outside').toEqual([]);
  },
});

export { expect };

/** Go to a place by the bar or the rail, as a thumb would. */
export async function goTo(page: Page, place: 'Round' | 'Tanks' | 'Week' | 'Larder' | 'Records') {
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
  await expect(page).toHaveURL(new RegExp(`/${place.toLowerCase()}`));
}

/** Choose from a sheet of many. */
export async function pick(page: Page, label: string, words: string) {
  await page
    .getByRole('button', { name: new RegExp(`^${label}:`) })
    .last()
    .click();
  const sheet = page.getByRole('dialog');
  const search = sheet.getByLabel('Search');
  if (await search.isVisible()) await search.fill(words);
  await sheet
    .getByRole('link', { name: new RegExp(words, 'i') })
    .first()
    .click();
}
