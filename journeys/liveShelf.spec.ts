import type { Page } from '@playwright/test';
import { expect, test, openStop } from './product';

const shelf = async (page: Page, url: string) =>
  (await (await page.request.get(`${url}/api/vessels`)).json()).items as {
    id: string;
    name: string;
    foodId: string;
    status: { state: string; contentG: number; clarity: { seen: string } | null };
    work: { what: string }[];
  }[];

test('a culture near its crash is seen first, thinned, and its kin are named', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/larder`);
  await page.getByRole('tab', { name: 'Live', exact: true }).click();
  await expect(page.getByText(/^Moina bucket: \d+ % chance of a crash this week/)).toBeVisible();
  await page.getByRole('link', { name: /^Moina bucket, about/ }).click();
  await expect(page.getByText('No food; change a third of its water').first()).toBeVisible();
  await page.getByRole('button', { name: 'Harvest', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: 'Spoons' }).click();
  await expect(sheet.getByText(/^About 0\.8 g$/)).toBeVisible();
  await expect(sheet.getByText(/It is back/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Note the harvest' }).click();
  await expect(page.getByText(/0\.8 g taken from Moina bucket; it is on the shelf/)).toBeVisible();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'It crashed' }).click();
  await expect(page.getByText(/Moina trough may go the same way/)).toBeVisible();
  await expect(page.getByText('the same water, the same tools').first()).toBeVisible();
  const bucket = (await shelf(page, demo.url)).find(({ name }) => name === 'Moina bucket');
  expect(bucket!.status).toMatchObject({ state: 'crashed', contentG: 0 });
  // Taken back, it lives again.
  await page.getByRole('button', { name: /^Undo: Crashed/ }).click();
  await expect(page.getByText(/may go the same way/)).toBeHidden();
});

test('what is seen of it changes what is believed', async ({ page, demo }) => {
  await page.goto(`${demo.url}/larder/live`);
  const trough = async () =>
    (await shelf(page, demo.url)).find(({ name }) => name === 'Moina trough')!;
  const before = await trough();
  await page.goto(`${demo.url}/larder/live/${before.id}`);
  await page.getByRole('button', { name: 'Look', exact: true }).first().click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: 'thin' }).click();
  await sheet.getByRole('radio', { name: 'cloudy' }).click();
  await sheet.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Noted: thin, cloudy.')).toBeVisible();
  const after = await trough();
  expect(after.status.contentG).toBeLessThan(before.status.contentG * 0.8);
  expect(after.status.clarity!.seen).toBe('cloudy');
  // Into cloudy water nothing is fed.
  expect(after.work.map(({ what }) => what)).not.toContain('feed');
});

test('a meal of live food is taken from its vessel, and the cultures are fed on the round', async ({
  page,
  demo,
}) => {
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  await expect(page.getByText(/^Harvest .* live grindal worms$/)).toBeVisible();
  await openStop(page, 'Alder');
  await page
    .getByRole('button', { name: /^Served: .* Live grindal worms/ })
    .first()
    .click();
  const box = (await shelf(page, demo.url)).find(({ name }) => /^Grindal/.test(name))!;
  const newest = async () =>
    (await (await page.request.get(`${demo.url}/api/vessels/${box.id}/events`)).json()).items[0];
  await expect
    .poll(newest)
    .toMatchObject({ kind: 'harvested', day: '2026-03-11', feedingId: expect.any(String) });
  await page.getByRole('button', { name: /^Live shelf: / }).click();
  await page.getByRole('button', { name: 'Fed: Moina trough' }).click();
  await expect(page.getByText('Moina trough is fed.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Fed: Moina trough' })).toBeHidden();
});

test('six weeks of supply are worked out beside the page, for another certainty too', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/larder/live`);
  await page.getByRole('button', { name: 'Supply for six weeks' }).click();
  const moina = page.getByRole('group', { name: 'Live Moina', exact: true });
  await expect(moina.getByText(/\d+ % chance of enough on the worst day/)).toBeVisible();
  await expect(page.getByText(/^2 jars, in turn$/)).toBeVisible();
  await page.getByRole('radio', { name: '99 % of days' }).click();
  await expect(moina.getByText(/\d+ % chance of enough on the worst day/)).toBeVisible();
});

test('from nothing: a culture is started step by step, gives a food, and ends', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/larder/live`);
  await page.getByRole('button', { name: 'Start a culture' }).click();
  await page.getByRole('button', { name: /^What kind/ }).click();
  await page.getByLabel('Search').fill('grindal');
  await page.getByRole('link', { name: /^Grindal worms/ }).click();
  const steps = page.getByRole('group', { name: 'How it is started' }).getByRole('checkbox');
  await steps.first().click();
  await expect(steps.first()).toBeChecked();
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByText('Give it a name')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Box on the stairs');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByText('Box on the stairs is started.')).toBeVisible();
  const [box] = await shelf(page, empty.url);
  expect(box).toMatchObject({ name: 'Box on the stairs', status: { state: 'building' } });
  const foods = await (await page.request.get(`${empty.url}/api/foods`)).json();
  expect(foods.items.map(({ id }: { id: string }) => id)).toEqual([box!.foodId]);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('Box on the stairs ended. It stays in its family.')).toBeVisible();
  await page.goto(`${empty.url}/larder/live`);
  await expect(page.getByText('1 earlier culture')).toBeVisible();
});
