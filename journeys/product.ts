import { test as base, expect, type Page } from '@playwright/test';
import {
  beginning,
  databaseUrl,
  dropDatabase,
  makeDatabase,
  NOW,
  serverOver,
  type Household,
} from './server';

/** The product as a person starts it: a server over a database of its own, and its address. */
export interface Product {
  url: string;
  /** Of its database, for what only that can say. */
  databaseUrl: string;
  /** kill -9, then start again over the same data. */
  crashAndRestart: () => Promise<void>;
  /** Let it be another time, for the product and for whoever looks at it. */
  letItBe: (page: Page, now: string) => Promise<void>;
  /** Start it again with another build of the web app. */
  deploy: (webDir: string) => Promise<void>;
}

async function startProduct(household: Household, name: string) {
  await makeDatabase(name, beginning(household));
  const server = await serverOver(name, household);
  let now = NOW;
  await server.start(now);
  return {
    product: {
      url: server.url,
      databaseUrl: databaseUrl(name),
      async crashAndRestart() {
        await server.end('SIGKILL');
        await server.start(now);
      },
      async letItBe(page, later) {
        now = later;
        await server.end('SIGTERM');
        await server.start(now);
        await page.context().clock.setFixedTime(later);
      },
      async deploy(webDir) {
        await server.end('SIGTERM');
        await server.start(now, { OPEN_LARDER_WEB_DIR: webDir });
      },
    } satisfies Product,
    async stop() {
      await server.end('SIGTERM');
      await dropDatabase(name);
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

/**
 * A tank of the Round, opened at the moment that is looked at: on a phone it is unfolded, on a wide screen
 * its cell of the day is chosen.
 */
export async function openStop(page: Page, tank: string): Promise<void> {
  const tab = page.getByRole('tablist', { name: 'Moments of the day' });
  const chosen = await tab.getByRole('tab', { selected: true }).getAttribute('aria-label');
  const moment = chosen!.replace(/, [^,]*$/, '');
  const cell = page.getByRole('button', { name: new RegExp(`^${tank}: ${moment}, `) });
  const row = page.getByRole('button', { name: new RegExp(`^${tank}: (all served|\\d)`) });
  await expect(cell.or(row).first()).toBeVisible();
  if ((await cell.count()) > 0) await cell.click();
  else if ((await row.first().getAttribute('aria-expanded')) === 'false') await row.first().click();
}
