import { atRest } from './atRest';
import {
  allSent,
  fedToday,
  kept,
  onDevice,
  onShelf,
  open,
  phone,
  serve,
  sign,
  withoutSignal,
} from './phones';
import { expect, goTo, test } from './product';

test.use({ serviceWorkers: 'allow' });

test('in a cellar without a signal the house opens, and what is fed there arrives once', async ({
  page,
  context,
  demo,
}) => {
  await open(page, demo);
  await onDevice(page);
  const before = await fedToday(page, demo);
  const shelf = await onShelf(page, demo);
  const served: string[] = [];
  await withoutSignal(context, async () => {
    await page.reload();
    served.push(await serve(page));
    await kept(page, /^1 kept here, no connection/);
    // Whatever becomes of the page, it is on the phone.
    await page.reload();
    await expect(page.getByRole('button', { name: served[0]!, exact: true })).toHaveCount(0);
    served.push(await serve(page));
    await kept(page, /^2 kept here/);
    for (const place of ['Tanks', 'Week', 'Larder'] as const) {
      await goTo(page, place);
      await expect(page.getByText(/cannot be reached/)).toHaveCount(0);
    }
    await page.goto(`${demo.url}/round?day=2026-03-14`);
    await expect(page.getByText(/Sat 14 Mar/).first()).toBeVisible();
    await page.goto(`${demo.url}/round`);
    await sign(page, /^2 kept here/).click();
    await expect(page.getByText('Sent as soon as there is a connection')).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).last().click();
  });
  await allSent(page);
  const after = await fedToday(page, demo);
  const fresh = after.filter(({ id }) => !before.some((one) => one.id === id));
  expect(fresh).toHaveLength(2);
  expect(new Set(fresh.map(({ servingId }) => servingId)).size).toBe(2);
  const gone = fresh.reduce((sum, { massG }) => sum + massG, 0);
  // What lives comes from its vessel as far as the shelf has none.
  expect(shelf - (await onShelf(page, demo))).toBeLessThanOrEqual(gone + 1e-6);
});

test('what is kept is sent in the background, with no page of the app open', async ({
  page,
  context,
  demo,
}) => {
  await open(page, demo);
  await onDevice(page);
  const before = await fedToday(page, demo);
  await withoutSignal(context, async () => {
    await serve(page);
    await kept(page, /^1 kept here, no connection/);
    await page.goto('about:blank');
  });
  // What a browser does as the network is back; when it does so by itself is up to it.
  const worker = await context.newCDPSession(page);
  const registered = new Promise<string>((resolve) =>
    worker.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const [ours] = registrations.filter(({ isDeleted }) => !isDeleted);
      if (ours) resolve(ours.registrationId);
    }),
  );
  await worker.send('ServiceWorker.enable');
  await worker.send('ServiceWorker.dispatchSyncEvent', {
    origin: demo.url,
    registrationId: await registered,
    tag: 'open-larder.outbox',
    lastChance: false,
  });
  await expect.poll(async () => (await fedToday(page, demo)).length).toBe(before.length + 1);
  await open(page, demo);
  await allSent(page);
  expect(await fedToday(page, demo)).toHaveLength(before.length + 1);
});

test('a server that dies between tap and answer loses nothing and doubles nothing', async ({
  page,
  demo,
}) => {
  await open(page, demo);
  await atRest(page);
  const before = await fedToday(page, demo);
  // It has written the serving, and its answer is lost; then it is gone.
  let lost = 0;
  await page.route('**/api/feedings', async (route) => {
    if (route.request().method() !== 'POST' || lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    return route.abort();
  });
  await serve(page);
  await expect.poll(async () => (await fedToday(page, demo)).length).toBe(before.length + 1);
  await demo.crashAndRestart();
  await allSent(page);
  expect(await fedToday(page, demo)).toHaveLength(before.length + 1);
});

test('two phones without a signal feed the same: it is asked whether once or twice', async ({
  page,
  context,
  demo,
  browser,
}) => {
  await open(page, demo);
  const other = await phone(browser, demo, '2026-03-11T13:01:00Z');
  await Promise.all([atRest(page), atRest(other.page)]);
  const before = await fedToday(page, demo);
  await context.setOffline(true);
  await other.context.setOffline(true);
  const first = await serve(page);
  const same = await serve(other.page);
  expect(same).toBe(first);
  await kept(page, /^1 kept here/);
  await kept(other.page, /^1 kept here/);
  await context.setOffline(false);
  await allSent(page);
  await other.context.setOffline(false);
  await sign(other.page, /^One entry needs you/).click();
  await expect(
    other.page.getByText(
      /Fed at 13:\d\d on another device, at 13:\d\d on this device: once or twice\?/,
    ),
  ).toBeVisible();
  expect(await fedToday(page, demo)).toHaveLength(before.length + 1);
  await other.page.getByRole('button', { name: /was given twice$/ }).click();
  await expect(other.page.getByText('All is sent.', { exact: false })).toBeVisible();
  const after = await fedToday(page, demo);
  expect(after).toHaveLength(before.length + 2);
  expect(after.some(({ outcome }) => outcome === 'more')).toBe(true);
  await other.context.close();
});

test('what another has just fed is seen before it is fed twice, and who walks where', async ({
  page,
  demo,
  browser,
}) => {
  await open(page, demo);
  await atRest(page);
  const other = await phone(browser, demo);
  await expect(page.getByText(/^Another device is in the Round too, at /)).toBeVisible();
  const name = await serve(other.page);
  await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
  // After a gap none is missed.
  await page.context().setOffline(true);
  const missed = await serve(other.page);
  await expect(page.getByRole('button', { name: missed, exact: true })).not.toHaveCount(0);
  await page.context().setOffline(false);
  await expect(page.getByRole('button', { name: missed, exact: true })).toHaveCount(0);
  await other.context.close();
  await page.context().setOffline(false);
});
