import type { APIRequestContext, Page } from '@playwright/test';
import { atRest } from './atRest';
import { expect, test } from './product';

// What a trace keeps of the page would be measured with it.
test.use({ trace: 'off' });

/** As slow as an old phone against the machine that the journeys run on. */
const SLOWED = 4;
/** So long a finger rests on the glass when it taps. */
const FINGER_MS = 80;

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

const middle = (values: readonly number[]) =>
  Math.round([...values].sort((a, b) => a - b)[Math.floor((values.length - 1) / 2)]!);

const report = (type: string, values: readonly number[]) =>
  test.info().annotations.push({
    type,
    description:
      values.length === 0
        ? 'none'
        : `${values.length}, half of them up to ${middle(values)} ms, the longest ${Math.round(Math.max(...values))} ms`,
  });

test('a tap is answered at once on a slow phone', async ({ page, demo }) => {
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / });
  await expect(serve.first()).toBeVisible();
  await atRest(page);
  await slow(page);
  await watch(page);
  for (let tap = 0; tap < 5; tap += 1) {
    const name = (await serve.first().getAttribute('aria-label'))!;
    await serve.first().click({ delay: FINGER_MS });
    // Looking for what has changed keeps the page busy too: only afterwards.
    await page.waitForTimeout(1500);
    await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  }
  const { taps, tasks } = await seen(page);
  expect(taps.length).toBeGreaterThan(0);
  report(`taps, processor ${SLOWED}× slower`, taps);
  report('long tasks among them', tasks);
});

/** Sixty tanks in all, each with a group that is fed twice a day. */
async function fillHouse(request: APIRequestContext, url: string) {
  const send = async (method: 'post' | 'put', path: string, data: object) => {
    const answer = await request[method](`${url}/api/${path}`, { data });
    expect(answer.ok(), await answer.text()).toBe(true);
    return answer.json();
  };
  const read = async (what: string) =>
    (await (await request.get(`${url}/api/${what}`)).json()).items as {
      id: string;
      name: string;
    }[];
  const known = await read('tanks');
  const shelf = Array.from({ length: 60 - known.length }, (_, at) => `Shelf ${at + 1},54 L,24 C`);
  await send('post', 'tables/tanks', {
    text: ['name,litres,temp', ...shelf].join('\n'),
    write: true,
  });
  const [foods, moments, tanks] = [await read('foods'), await read('moments'), await read('tanks')];
  for (const tank of tanks.filter(({ name }) => name.startsWith('Shelf'))) {
    const group = crypto.randomUUID();
    await send('post', 'groups', {
      id: group,
      tankId: tank.id,
      name: `Shoal of ${tank.name}`,
      speciesKey: 'danio-rerio',
      males: 0,
      females: 0,
      unsexed: 12,
      stage: 'adult',
      lengthCm: 3,
      day: '2026-03-01',
    });
    const servings = moments.slice(0, 2).map(({ id }, at) => ({
      id: crypto.randomUUID(),
      foodId: foods[at]!.id,
      momentId: id,
      zone: 'surface',
      place: 'front',
      days: [1, 2, 3, 4, 5, 6, 7],
      weight: 1,
      ownUnits: null,
      manner: { afterMin: 0, spots: 1, carried: false, soaked: false, apart: false },
    }));
    const diet = { version: 0, fastWeekdays: [], goalFactor: null, rules: [], servings };
    await send('put', `groups/${group}/diet`, diet);
  }
}

test('a round of sixty tanks scrolls to its end', async ({ page, demo }) => {
  await fillHouse(page.request, demo.url);
  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /^After work/ }).click();
  await atRest(page);
  await watch(page);
  const list = page.getByRole('main');
  const box = (await list.boundingBox())!;
  await page.mouse.move(box.x + 150, box.y + box.height / 2);
  // Rows are drawn as they come near: the last of them is there when all have gone by.
  const last = page.getByText('Shelf 52', { exact: true }).first();
  for (let turn = 0; turn < 120 && !(await last.isVisible()); turn += 1) {
    await page.mouse.wheel(0, 400);
    await page.waitForTimeout(30);
  }
  await expect(last).toBeVisible();
  const { tasks } = await seen(page);
  report('long tasks while sixty tanks scroll by', tasks);
});

test('six weeks of live supply are worked out while the page stays quick', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/larder/live/supply`);
  const worked = page.getByText(/chance of enough on the worst day/).first();
  await expect(worked).toBeVisible();
  await atRest(page);
  await watch(page);
  await page.getByRole('radio', { name: '99 % of days' }).click();
  await expect(page.getByRole('button', { name: 'Cancel' })).toBeVisible();
  await expect(worked).toBeVisible();
  const { tasks } = await seen(page);
  report('long tasks while live supply is worked out', tasks);
});

test('a swipe to the right serves, to the left asks what else', async ({ page, demo }) => {
  // A finger's way is reported by its times: here the clock runs.
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
  await page.context().clock.setSystemTime('2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / }).first();
  // What waits beside feeding finds its place on the walk first.
  await expect(serve).toBeVisible();
  await atRest(page);
  const name = (await serve.getAttribute('aria-label'))!;
  const drag = async (by: number) => {
    const button = page.getByRole('button', { name, exact: true });
    await button.scrollIntoViewIfNeeded();
    const box = (await button.boundingBox())!;
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
  // A key that comes with the first paint of a sheet, as no hand is quick enough to, is not heard yet.
  await expect(async () => {
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden({ timeout: 1000 });
  }).toPass();
  await drag(110);
  await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  await expect(page.getByRole('timer').first()).toBeVisible();
});

test('with the keys alone: the tab key reaches what is next, and enter serves it', async ({
  page,
  demo,
}) => {
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
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
