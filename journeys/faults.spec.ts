import { cpSync, readFileSync, rmSync, writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { atRest } from './atRest';
import { faultyDatabase, type FaultyDatabase } from './faultyDatabase';
import { countFed, expectWhole, lastFed } from './ledger';
import { entries, keepOnPhone, type Entry } from './entries';
import { Loaders } from './loaders';
import { allSent, kept, onDevice, open, phone, serve, sign } from './phones';
import { expect, test, type Product } from './product';
import { NOW, serverOver } from './server';

/** `npm run faults` takes its time; the tests take a part of it. */
const LONG = process.env.OPEN_LARDER_FAULTS === 'long';
const DAY = NOW.slice(0, 10);
const HOUR_MS = 3_600_000;
const YEAR_MS = 366 * 24 * HOUR_MS;
/** As long as a phone waits at most between two tries, and some more. */
const BACK_MS = 150_000;

test.use({ serviceWorkers: 'allow' });
test.setTimeout(LONG ? 1_800_000 : 420_000);

const later = (ms: number, since = NOW) => new Date(Date.parse(since) + ms).toISOString();
const idsOf = (acts: readonly Entry[]) =>
  acts.filter(({ route }) => route === 'logFeeding').map(({ id }) => id);

test('a day without a network, and all that was done in it arrives once', async ({
  page,
  context,
  demo,
}) => {
  const many = LONG ? 500 : 60;
  await open(page, demo);
  await onDevice(page);
  const before = await countFed(demo.databaseUrl);
  const acts = await entries(demo, many, DAY);
  await context.setOffline(true);
  await keepOnPhone(page, acts);
  await page.reload();
  await kept(page, new RegExp(`^${many} kept here, no connection`));
  await context.setOffline(false);
  await allSent(page, LONG ? 600_000 : BACK_MS);
  await expectWhole(demo, idsOf(acts));
  expect(await countFed(demo.databaseUrl)).toBe(before + many);
});

test('one outbox that is sent from two phones, in two orders, is written once', async ({
  page,
  context,
  demo,
  browser,
}) => {
  const many = LONG ? 200 : 40;
  await open(page, demo);
  const other = await phone(browser, demo);
  await Promise.all([onDevice(page), onDevice(other.page)]);
  const before = await countFed(demo.databaseUrl);
  const acts = await entries(demo, many, DAY);
  await context.setOffline(true);
  await other.context.setOffline(true);
  await keepOnPhone(page, acts);
  await keepOnPhone(other.page, shuffled(acts));
  await Promise.all([page.reload(), other.page.reload()]);
  await kept(page, new RegExp(`^${many} kept here`));
  await kept(other.page, new RegExp(`^${many} kept here`));
  await Promise.all([context.setOffline(false), other.context.setOffline(false)]);
  for (const one of [page, other.page]) {
    await allSent(one, BACK_MS);
  }
  await expectWhole(demo, idsOf(acts));
  expect(await countFed(demo.databaseUrl)).toBe(before + many);
  await other.context.close();
});

test('four phones without a signal feed one tank: each serving stands once, and the rest is asked', async ({
  page,
  context,
  demo,
  browser,
}) => {
  const many = LONG ? 6 : 2;
  await open(page, demo);
  const others = [];
  for (let n = 0; n < 3; n += 1) {
    others.push(await phone(browser, demo, later((n + 1) * 60_000)));
  }
  const phones = [{ page, context }, ...others];
  const before = await countFed(demo.databaseUrl);
  for (const one of phones) {
    await atRest(one.page);
    await one.context.setOffline(true);
  }
  const served: string[][] = [];
  for (const one of phones) {
    const names: string[] = [];
    for (let n = 0; n < many; n += 1) names.push(await serve(one.page));
    served.push(names);
  }
  expect(new Set(served.map((names) => names.join())).size).toBe(1);
  await Promise.all(phones.map((one) => one.context.setOffline(false)));
  await expect.poll(() => countFed(demo.databaseUrl), { timeout: BACK_MS }).toBe(before + many);
  let asked = 0;
  for (const one of phones) {
    // Sent, or asked: nothing waits.
    const state = one.page
      .getByRole('button', { name: /^(All is sent$|One entry needs|\d+ entries need)/ })
      .first();
    await expect(state).toBeVisible({ timeout: BACK_MS });
    if ((await state.getAttribute('aria-label')) === 'All is sent') continue;
    await sign(one.page, /need(s)? you/).click();
    // Whoever was first with one of them is not asked about that.
    const questions = one.page.getByRole('button', { name: /^.+ was given once$/ });
    const sent = one.page.getByText('All is sent.', { exact: false });
    // They come one by one, as each is refused.
    for (;;) {
      await expect(questions.or(sent).first()).toBeVisible();
      if (await sent.isVisible()) break;
      const name = (await questions.first().getAttribute('aria-label'))!;
      const question = one.page.getByRole('button', { name, exact: true });
      await question.click();
      await expect(question).toHaveCount(0);
      asked += 1;
    }
  }
  expect(asked).toBe(3 * many);
  await expectWhole(demo, []);
  expect(await countFed(demo.databaseUrl)).toBe(before + many);
  for (const { context: theirs } of others) await theirs.close();
});

test('a clock that is an hour or a year wrong writes the right time', async ({
  page,
  context,
  demo,
}) => {
  await open(page, demo);
  await onDevice(page);
  const set = (wrongMs: number) => context.clock.setFixedTime(later(wrongMs));
  const fedWithout = async (work: () => Promise<unknown>) => {
    await context.setOffline(true);
    await work();
    await kept(page, /^1 kept here/);
    await context.setOffline(false);
    await allSent(page);
    const [fed] = await lastFed(demo.databaseUrl, 1);
    expect(fed?.day).toBe(DAY);
    expect(Math.abs(fed!.at.getTime() - Date.parse(NOW))).toBeLessThan(3 * 60_000);
    await expectWhole(demo, [fed!.id]);
    // Loaded anew with the wrong clock, it shows the day that it is.
    await open(page, demo);
    await expect(page.getByText(/Wed 11 Mar/).first()).toBeVisible();
  };
  for (const wrongMs of [HOUR_MS, -HOUR_MS]) {
    await fedWithout(async () => {
      await set(wrongMs);
      await serve(page);
    });
    await set(0);
    await open(page, demo);
  }
  // Set after it: what was done before that is not moved.
  await fedWithout(async () => {
    await serve(page);
    await set(YEAR_MS);
  });
  // Wrong from the beginning.
  await fedWithout(() => serve(page));
});

test('a browser that clears what it kept says what is lost, and offers it again', async ({
  page,
  context,
  demo,
}) => {
  await open(page, demo);
  await onDevice(page);
  const before = await countFed(demo.databaseUrl);
  await context.setOffline(true);
  const served = [await serve(page), await serve(page)];
  await kept(page, /^2 kept here/);
  const browser = await context.newCDPSession(page);
  await browser.send('Storage.clearDataForOrigin', {
    origin: demo.url,
    storageTypes: 'indexeddb',
  });
  await context.setOffline(false);
  await page.reload();
  await sign(page, /^This browser cleared what was kept: 2 not sent/).click();
  await expect(page.getByText(/2 entries had not been sent and are gone/)).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).last().click();
  expect(await countFed(demo.databaseUrl)).toBe(before);
  expect([await serve(page), await serve(page)]).toEqual(served);
  await expect.poll(() => countFed(demo.databaseUrl)).toBe(before + 2);
  await expectWhole(demo, []);
});

test('a night in which the clock is changed', async ({ page, context, demo }) => {
  const { version, ...house } = await (await page.request.get(`${demo.url}/api/household`)).json();
  await page.request.put(`${demo.url}/api/household`, {
    data: { ...house, version, timeZone: 'Europe/Berlin' },
  });
  // From 2 to 3 in spring; twice from 2 to 3 in autumn.
  for (const night of ['2026-03-29T00:30:00Z', '2026-10-25T00:30:00Z']) {
    await demo.letItBe(page, night);
    await page.goto(`${demo.url}/round`);
    await atRest(page);
    await onDevice(page);
    const before = await countFed(demo.databaseUrl);
    const names: string[] = [];
    for (const now of [night, later(HOUR_MS, night)]) {
      await context.setOffline(true);
      await context.clock.setFixedTime(now);
      names.push(await serve(page));
    }
    await kept(page, /^2 kept here/);
    // The server is an hour on, too.
    await demo.letItBe(page, later(HOUR_MS, night));
    await context.setOffline(false);
    await allSent(page);
    const fed = await lastFed(demo.databaseUrl, 2);
    expect(await countFed(demo.databaseUrl)).toBe(before + 2);
    expect(new Set(fed.map(({ serving_id }) => serving_id)).size).toBe(2);
    const times = fed.map(({ at }) => at.getTime()).sort((a, b) => a - b);
    expect(Math.abs(times[0]! - Date.parse(night))).toBeLessThan(3 * 60_000);
    expect(times[1]! - times[0]!).toBeGreaterThan(HOUR_MS - 3 * 60_000);
    await expectWhole(
      demo,
      fed.map(({ id }) => id),
    );
  }
});

test('a new build that comes while a phone is away loses no word and no entry', async ({
  page,
  context,
  demo,
}) => {
  const built = process.env.OPEN_LARDER_WEB_DIR ?? join(__dirname, '..', 'app', 'dist');
  const next = mkdtempSync(join(tmpdir(), 'open-larder-build-'));
  try {
    cpSync(built, next, { recursive: true });
    for (const name of ['index.html', 'sw.js']) {
      for (const packed of ['.gz', '.br']) rmSync(join(next, name + packed), { force: true });
    }
    const index = join(next, 'index.html');
    const marked = '<meta name="build" content="next" />';
    writeFileSync(index, readFileSync(index, 'utf8').replace('</head>', `${marked}</head>`));
    const worker = join(next, 'sw.js');
    const newer = readFileSync(worker, 'utf8').replace(
      /("revision":")[0-9a-f]+(","url":"index.html")/,
      `$1${'0'.repeat(32)}$2`,
    );
    expect(newer).not.toBe(readFileSync(worker, 'utf8'));
    writeFileSync(worker, newer);

    await open(page, demo);
    await onDevice(page);
    const before = await countFed(demo.databaseUrl);
    await context.setOffline(true);
    await serve(page);
    await kept(page, /^1 kept here/);
    await page.goto(`${demo.url}/tanks/new`);
    await page.getByLabel('Name').fill('Mill race');
    await demo.deploy(next);
    await context.setOffline(false);
    await expect.poll(() => countFed(demo.databaseUrl), { timeout: BACK_MS }).toBe(before + 1);
    // A browser looks for a newer worker as a page is opened, and now and then.
    await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
    const take = page.getByRole('button', { name: 'Take the new version' });
    await expect(take).toBeVisible();
    await expect(page.getByLabel('Name')).toHaveValue('Mill race');
    await take.click();
    await expect(page.locator('meta[name="build"]')).toHaveAttribute('content', 'next');
    await expect(page.getByLabel('Name')).toHaveValue('Mill race');
    await expect(take).toHaveCount(0);
    await expectWhole(demo, []);
    expect(await countFed(demo.databaseUrl)).toBe(before + 1);
  } finally {
    rmSync(next, { recursive: true, force: true });
  }
});

test.describe('a database', () => {
  let database: FaultyDatabase;
  let house: Product;
  let end: () => Promise<void>;

  test.beforeEach(async () => {
    database = await faultyDatabase();
    const env = { OPEN_LARDER_DB_URL: database.url };
    const server = await serverOver('faults', 'demo', { env });
    await server.start(NOW);
    house = { url: server.url, databaseUrl: database.url } as Product;
    end = () => server.end('SIGTERM');
  });
  test.afterEach(async () => {
    await end();
    await database.stop();
  });

  test('that is killed under load and started again has all that it acknowledged', async ({
    page,
  }) => {
    await open(page, house);
    await onDevice(page);
    const before = await countFed(database.url);
    const load = new Loaders(house.url, await entries(house, LONG ? 4000 : 300, DAY, false));
    const kills = LONG ? 3 : 1;
    for (let kill = 1; kill <= kills; kill += 1) {
      await load.until((kill * load.all) / 4);
      await database.now('kill');
      await serve(page);
      await kept(page, /^\d kept here/);
      await database.now('launch');
    }
    const acknowledged = await load.end();
    await allSent(page, BACK_MS);
    await expectWhole(house, acknowledged);
    expect(await countFed(database.url)).toBe(before + load.all + kills);
  });

  test('whose disk is full takes nothing that it would lose, and goes on as there is room', async ({
    page,
  }) => {
    test.skip(!database.disk, 'only root can mount the small disk that this fills');
    await open(page, house);
    await onDevice(page);
    const before = await countFed(database.url);
    const load = new Loaders(house.url, await entries(house, LONG ? 4000 : 600, DAY, false));
    await load.until(20);
    await database.now('fill');
    await load.untilRefused();
    await serve(page);
    await kept(page, /^1 kept here/);
    await database.now('free');
    await database.now('launch').catch(() => undefined);
    const acknowledged = await load.end();
    await allSent(page, BACK_MS);
    await expectWhole(house, acknowledged);
    expect(await countFed(database.url)).toBe(before + load.all + 1);
  });
});

/** The same every time. */
function shuffled<T>(all: readonly T[]): T[] {
  const left = [...all];
  let seed = 7;
  const next = () => (seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31;
  return all.map(() => left.splice(Math.floor(next() * left.length), 1)[0]!);
}
