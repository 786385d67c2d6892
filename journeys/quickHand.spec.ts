import type { APIRequestContext, Page } from '@playwright/test';
import { expect, test } from './product';

/** As slow as an old phone against the machine that the journeys run on. */
const SLOWED = 4;

/** From here on the page keeps how long each tap took to be seen, and each task that held it up. */
async function watch(page: Page) {
  await page.evaluate(() => {
    const kept = window as unknown as { taps: number[]; tasks: number[] };
    kept.taps = [];
    kept.tasks = [];
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries()) {
        if (name === 'click' || name === 'pointerup') kept.taps.push(duration);
      }
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) kept.tasks.push(duration);
    }).observe({ type: 'longtask' });
  });
}

const seen = (page: Page) =>
  page.evaluate(() => {
    const { taps, tasks } = window as unknown as { taps: number[]; tasks: number[] };
    return { taps, tasks };
  });

async function slow(page: Page) {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
}

const report = (type: string, values: readonly number[]) =>
  test.info().annotations.push({
    type,
    description:
      values.length === 0
        ? 'none'
        : `${values.length}, the longest ${Math.round(Math.max(...values))} ms`,
  });

test('a tap is answered at once on a slow phone', async ({ page, demo }) => {
  await page.context().clock.setFixedTime('2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / });
  await expect(serve.first()).toBeVisible();
  await page.waitForLoadState('networkidle');
  await slow(page);
  await watch(page);
  for (let tap = 0; tap < 5; tap += 1) {
    const name = (await serve.first().getAttribute('aria-label'))!;
    await serve.first().click();
    await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
    await page.waitForLoadState('networkidle');
  }
  const { taps, tasks } = await seen(page);
  expect(taps.length).toBeGreaterThan(0);
  report(`taps, processor ${SLOWED}× slower`, taps);
  report('long tasks among them', tasks);
});

/** Sixty tanks in all, each with a group that is fed twice a day. */
async function fillHouse(request: APIRequestContext, url: string) {
  const name = (at: number) => `Shelf ${at + 1}`;
  const write = async (table: string, lines: string[]) => {
    const taken = await request.post(`${url}/api/tables/${table}`, {
      data: { text: lines.join('\n'), write: true },
    });
    expect((await taken.json()).written).toBe(true);
  };
  const read = async (what: string) =>
    (await (await request.get(`${url}/api/${what}`)).json()).items;
  const { length } = await read('tanks');
  const count = Array.from({ length: 60 - length }, (_, at) => at);
  await write('tanks', ['name,litres,temp', ...count.map((at) => `${name(at)},54 L,24 C`)]);
  await write('groups', [
    'name,tank,species,unsexed,day',
    ...count.map((at) => `Shoal ${at + 1},${name(at)},danio-rerio,12,2026-03-01`),
  ]);
  const [foods, moments, groups] = [
    await read('foods'),
    await read('moments'),
    await read('groups'),
  ];
  for (const group of groups.filter((one: { name: string }) => one.name.startsWith('Shoal'))) {
    const servings = moments.slice(0, 2).map((moment: { id: string }, at: number) => ({
      id: crypto.randomUUID(),
      foodId: foods[at].id,
      momentId: moment.id,
      zone: 'surface',
      place: 'front',
      days: [1, 2, 3, 4, 5, 6, 7],
      weight: 1,
      ownUnits: null,
      manner: { afterMin: 0, spots: 1, carried: false, soaked: false, apart: false },
    }));
    const saved = await request.put(`${url}/api/groups/${group.id}/diet`, {
      data: { version: 0, fastWeekdays: [], goalFactor: null, rules: [], servings },
    });
    expect(saved.ok()).toBe(true);
  }
}

test('a round of sixty tanks scrolls to its end', async ({ page, demo }) => {
  await fillHouse(page.request, demo.url);
  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /^Before work/ }).click();
  await page.waitForLoadState('networkidle');
  await watch(page);
  const list = page.getByRole('main');
  const box = (await list.boundingBox())!;
  await page.mouse.move(box.x + 150, box.y + box.height / 2);
  const last = page
    .getByRole('button', { name: /All the rest as planned|All of Shelf 5\d/ })
    .last();
  for (let turn = 0; turn < 120 && !(await last.isVisible()); turn += 1) {
    await page.mouse.wheel(0, 400);
    await page.waitForTimeout(30);
  }
  await expect(page.getByText('Shelf 50', { exact: true }).first()).toBeVisible();
  const { tasks } = await seen(page);
  report('long tasks while sixty tanks scroll by', tasks);
});

test('a swipe to the right serves, to the left asks what else', async ({ page, demo }) => {
  await page.context().clock.setFixedTime('2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / }).first();
  const name = (await serve.getAttribute('aria-label'))!;
  const drag = async (by: number) => {
    const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
    const [x, y] = [box.x - 90, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + by / 2, y + 2, { steps: 4 });
    await page.mouse.move(x + by, y + 2, { steps: 4 });
    await page.mouse.up();
  };
  // A short one is none.
  await drag(40);
  await expect(serve).toBeVisible();
  await drag(-110);
  await expect(page.getByRole('dialog').getByText(/What happened instead/)).toBeVisible();
  await page.keyboard.press('Escape');
  await drag(110);
  await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  await expect(page.getByRole('timer').first()).toBeVisible();
});

test('with the keys alone: the tab key reaches what is next, and enter serves it', async ({
  page,
  demo,
}) => {
  await page.context().clock.setFixedTime('2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / });
  await expect(serve.first()).toBeVisible();
  const focused = () =>
    page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
  const order: string[] = [];
  for (let step = 0; step < 80 && !/^Served/.test(order.at(-1) ?? ''); step += 1) {
    await page.keyboard.press('Tab');
    order.push(await focused());
  }
  // Read in the order of the page: the moments, then what to prepare, then the first serving.
  const at = (what: RegExp) => order.findIndex((label) => what.test(label));
  const name = (await serve.first().getAttribute('aria-label'))!;
  expect(order.at(-1)).toBe(name);
  expect(at(/^Print this day/)).toBeLessThan(order.length - 1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  // The hand stays where it was: the next tap of the key goes on, not back to the top.
  await page.keyboard.press('Tab');
  expect(await focused()).not.toMatch(/^Print this day|^$/);
});
