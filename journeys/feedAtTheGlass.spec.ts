import { atRest } from './atRest';
import { expect, test, openStop } from './product';
import { NOW } from './server';

test('on a phone the next tank is open, and five more servings are in sight', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await demo.letItBe(page, '2026-03-11T18:24:00Z');
  await page.goto(`${demo.url}/round`);
  await expect(page.getByRole('button', { name: /^Served: / }).first()).toBeVisible();
  await atRest(page);
  const places = (await page.getByRole('navigation', { name: 'Places' }).boundingBox())!;
  let inSight = 0;
  for (const row of await page.getByRole('button', { name: /: \d+ to serve$/ }).all()) {
    const box = (await row.boundingBox())!;
    // Of a row that is open nothing is counted: its first serving is the next.
    if ((await row.getAttribute('aria-expanded')) === 'true') continue;
    if (box.y + box.height <= places.y) {
      inSight += Number(/(\d+) to serve$/.exec((await row.getAttribute('aria-label'))!)![1]);
      expect(box.height).toBeGreaterThanOrEqual(48);
    }
  }
  expect(inSight).toBeGreaterThanOrEqual(5);
});

test('a round at the glass: prepare, serve, watch, look, and read it in the records', async ({
  page,
  demo,
}) => {
  // After work: its servings are due.
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  // What to thaw stands before what to serve, and is ticked off.
  const prepare = page.getByLabel('To prepare');
  await prepare.getByRole('button', { name: 'All of the day' }).click();
  const task = prepare.getByRole('button', { name: /^Done: .*thaw/ }).first();
  await task.click();
  await expect(prepare.getByText(/done \d\d:\d\d/)).toBeVisible();

  // The tap starts the clock, which survives a reload.
  const serve = page.getByRole('button', { name: /^Served: / }).first();
  await serve.click();
  const timer = page.getByRole('timer').first();
  await expect(timer).toBeVisible();
  await page.reload();
  await expect(timer).toBeVisible();
  await timer.getByRole('button', { name: /^Gone: / }).click();
  await expect(page.getByText(/: gone after \d+:\d\d\.$/)).toBeVisible();

  // Feeding again is asked once.
  await openStop(page, 'Millpond');
  await page
    .getByRole('button', { name: /^Feed again: / })
    .first()
    .click();
  await page.getByRole('button', { name: 'Leave it at that' }).click();

  // A thin belly is noted with two taps, and more is given from then on.
  await openStop(page, 'Tarn');
  await page.getByRole('button', { name: 'Look at the fish of Tarn' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: 'sunken: Kuhli loaches' }).click();
  await sheet.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/Kuhli loaches get more until they are well filled/)).toBeVisible();

  // All the rest in one tap.
  await page.getByRole('button', { name: /^All the rest as planned/ }).click();
  await expect(page.getByText(/served as planned\./)).toBeVisible();
  // The screen moves on to what comes after; that is not served with the same tap.
  await expect(page.getByRole('heading', { name: 'After lights-out' })).toBeVisible();

  // And it all stands in the records.
  await page.goto(`${demo.url}/records`);
  await page.getByRole('tab', { name: 'What was served' }).click();
  await page.getByRole('radio', { name: 'a year' }).click();
  const table = page.getByRole('table', { name: 'What was served' });
  await expect(table.getByText(/^All \d+$/)).toBeVisible();
  await page.getByRole('button', { name: 'Sort by Eaten, %' }).click();
  await page.getByLabel('Filter by food, group or tank').fill('tarn');
  await page.getByRole('radio', { name: 'group and food' }).click();
  await table
    .getByRole('button', { name: /^Week by week: / })
    .first()
    .click();
  await expect(page.getByText(/^Taken |was offered|was eaten/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await saved).suggestedFilename()).toMatch(/^served-.*\.csv$/);
});

test('two people at one tank: the second is told who fed, and when', async ({
  page,
  browser,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  const serve = page.getByRole('button', { name: /^Served: / }).first();
  const name = (await serve.getAttribute('aria-label'))!;
  // Another person, meanwhile: the same serving, by another phone. What this page reads of the day is
  // held back, or it would learn of it by itself before the tap.
  let letRead = () => {};
  const mayRead = new Promise<void>((resolve) => (letRead = resolve));
  await page.route(/\/api\//, async (route) => {
    if (route.request().method() === 'GET') await mayRead;
    await route.continue();
  });
  const other = await browser.newPage();
  await other.clock.setFixedTime(NOW);
  await other.goto(`${demo.url}/round`);
  // Written, not only drawn: closed before that, the other phone would take its tap with it.
  const written = other.waitForResponse(
    (answer) => answer.url().endsWith('/api/feedings') && answer.status() === 201,
  );
  await other.getByRole('button', { name, exact: true }).click();
  await written;
  await other.close();
  await page.getByRole('button', { name, exact: true }).click();
  await expect(page.getByRole('dialog').getByText('Fed already')).toBeVisible();
  letRead();
  await page.getByRole('button', { name: 'Leave it at that' }).click();
  const { items } = await (await page.request.get(`${demo.url}/api/feedings?limit=1`)).json();
  expect(items).toHaveLength(1);
});

test('the tanks are walked in the order that they are dragged into', async ({ page, demo }) => {
  await page.goto(`${demo.url}/tanks`);
  await page.getByRole('button', { name: 'Arrange' }).click();
  const sheet = page.getByRole('dialog');
  const grip = sheet.getByRole('button', { name: 'Drag Tarn' });
  const first = sheet.getByRole('button', { name: 'Drag Millpond' });
  const from = (await grip.boundingBox())!;
  const to = (await first.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y - 10, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + 4, { steps: 10 });
  await page.mouse.up();
  const tarnIsFirst = async () => (await grip.boundingBox())!.y < (await first.boundingBox())!.y;
  await expect.poll(tarnIsFirst).toBe(true);
  // With the keys, one step further down, once what was dropped lies still.
  await atRest(page);
  await sheet.getByRole('button', { name: 'Tarn later' }).press('Enter');
  await expect.poll(tarnIsFirst).toBe(false);
  await sheet.getByRole('button', { name: 'Keep this order' }).click();
  await expect(page.getByText('The Round follows this order from now on.')).toBeVisible();
  const { items } = await (await page.request.get(`${demo.url}/api/tanks`)).json();
  expect(items.slice(0, 3).map((tank: { name: string }) => tank.name)).toEqual([
    'Millpond',
    'Tarn',
    'Sluice',
  ]);
});

test('the day on one page, and a screen that suits the hand', async ({ page, demo }) => {
  await page.goto(`${demo.url}/round`);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Print this day' }).click();
  expect((await saved).suggestedFilename()).toMatch(/^round-\d{4}-\d\d-\d\d\.pdf$/);
  await page.goto(`${demo.url}/settings`);
  await page.getByRole('radio', { name: 'Large' }).click();
  await page.getByRole('radio', { name: 'Left' }).click();
  await page.getByLabel('Quick phrases for notes').fill('begging, hid at first');
  await expect(page.getByText('The settings are saved.')).toBeVisible();
  await page.goto(`${demo.url}/round`);
  // What stands above the servings may come after them, and moves them down.
  await atRest(page);
  const serve = page.getByRole('button', { name: /^Served: / }).first();
  await serve.scrollIntoViewIfNeeded();
  const box = (await serve.boundingBox())!;
  // Under the left thumb: before the words of its card.
  const words = page.getByRole('button', { name: /^More of / }).first();
  expect(box.x + box.width).toBeLessThanOrEqual((await words.boundingBox())!.x);
  // Held, it offers what is not as planned, with one's own phrases.
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.waitForTimeout(700);
  await page.mouse.up();
  await page.getByRole('button', { name: 'Note: hid at first' }).click();
  await page.getByRole('button', { name: 'Log less' }).click();
  await expect(page.getByText(/less \d\d:\d\d.*hid at first/).first()).toBeVisible();
});
