import type { Page } from '@playwright/test';
import { expect, test } from './product';

const broods = async (page: Page, url: string) =>
  (await (await page.request.get(`${url}/api/broods`)).json()).items as {
    id: string;
    name: string;
    status: {
      state: { phase: string; count: number | null; hatchedOn: string | null };
      swim: { day: string } | null;
      feeds: { gramsPerDay: number }[];
      tubs: { count: number | null; changedOn: string | null }[];
    };
  }[];
const named = async (page: Page, url: string, name: string) =>
  (await broods(page, url)).find((one) => one.name === name)!;

test('the brood at day nine: its ladder, its change, a count that says more', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/broods`);
  await page.getByRole('link', { name: /^Steel-blues of the mop, free-swimming, day 9/ }).click();
  await expect(
    page.getByRole('img', { name: /^Steel-blues of the mop: .*Hatched brine shrimp from/ }).first(),
  ).toBeVisible();
  const before = await named(page, demo.url, 'Steel-blues of the mop');
  await page
    .getByRole('button', { name: /^Changed: Steel-blues of the mop/ })
    .first()
    .click();
  await expect(page.getByText('The water is changed.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Changed: Steel-blues/ })).toHaveCount(0);
  // The next rung was reported for later: a tap says that they take it now, and another takes that back.
  await page.getByRole('button', { name: 'They take Grindal worms today' }).click();
  await expect(
    page.getByText(/Wed 11 Mar until .* · seen taken|Wed 11 Mar on · seen taken/),
  ).toBeVisible();
  await page.getByRole('button', { name: /^History/ }).click();
  await page.getByRole('button', { name: /^Undo: Took the next food: Grindal worms/ }).click();
  await expect(page.getByText(/seen taken/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Something happened' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('How many').fill('46');
  await sheet.getByRole('button', { name: 'Note it' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByText(/^free-swimming, day 9 · 46/).first()).toBeVisible();
  await expect(page.getByText(/the first one missed some/)).toBeVisible();
  const after = await named(page, demo.url, 'Steel-blues of the mop');
  expect(after.status.tubs[0]!.changedOn).toBe('2026-03-11');
  const grams = (of: typeof before) =>
    of.status.feeds.reduce((sum, one) => sum + one.gramsPerDay, 0);
  expect(grams(after)).toBeGreaterThan(grams(before));
  // Taken back, it is as it was reported before.
  await page.getByRole('button', { name: /^Undo: Counted: 46/ }).click();
  await expect(page.getByText(/^free-swimming, day 9 · 38/).first()).toBeVisible();
});

test('a brood is begun from its parents, hatches a day early, and asks for its first food', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/broods/new`);
  await page.getByRole('button', { name: /^The parents/ }).click();
  await page.getByRole('dialog').getByText('Pearl gouramis', { exact: true }).click();
  await expect(page.getByText(/^Bubble-nester: take her out after spawning/)).toBeVisible();
  await page.getByLabel('Since').fill('2026-03-10');
  await page.getByLabel('Name', { exact: true }).fill('Pearls of March');
  await page.getByLabel('Name of the tub').fill('Nest tub');
  await page.getByLabel(/^Water in it/).fill('20');
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByText('Pearls of March is begun.')).toBeVisible();
  await expect(page.getByText(/No food yet, until about/)).toBeVisible();
  const begun = await named(page, demo.url, 'Pearls of March');
  expect(begun.status.state.phase).toBe('eggs');
  await page.getByRole('button', { name: 'Hatch: seen today' }).click();
  await expect(page.getByText('No food: they live on their yolk').first()).toBeVisible();
  const hatched = await named(page, demo.url, 'Pearls of March');
  expect(hatched.status.state).toMatchObject({ phase: 'larvae', hatchedOn: '2026-03-11' });
  expect(hatched.status.swim!.day <= begun.status.swim!.day).toBe(true);
  // What it will want is in the supply of the next six weeks.
  await page.goto(`${demo.url}/larder/live/supply`);
  await expect(page.getByText(/for Pearls of March too/).first()).toBeVisible();
});

test('conditioning says what it costs the water, and portions follow', async ({ page, demo }) => {
  const groups = async () =>
    (await (await page.request.get(`${demo.url}/api/groups?limit=500`)).json()).items as {
      id: string;
      name: string;
      stage: string;
    }[];
  const medaka = (await groups()).find(({ name }) => name === 'Medaka')!;
  await page.goto(`${demo.url}/broods/condition?group=${medaka.id}`);
  await expect(page.getByText('Water changes that make up for it')).toBeVisible();
  await page.getByRole('button', { name: 'Begin today' }).click();
  await expect(page.getByText(/Medaka is conditioned from today/)).toBeVisible();
  await expect(page.getByText('They are conditioned now')).toBeVisible();
  expect((await groups()).find(({ id }) => id === medaka.id)!.stage).toBe('conditioning');
  // A cool change in steps that the fish stand, and none where the water lies on the other side.
  await page.getByLabel(/^In the tank now/).fill('18');
  await page.getByLabel(/^In the new water/).fill('8');
  await page.getByLabel(/^Down to/).fill('12');
  await expect(page.getByText(/change .* with the new water$/).first()).toBeVisible();
  await page.getByLabel(/^Down to/).fill('25');
  await expect(page.getByText(/it lies on the other side/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the usual' }).click();
  await expect(page.getByText(/goes back to its usual meals/)).toBeVisible();
});

test('a card for the tub is printed, and the round has its work', async ({ page, demo }) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole('button', { name: /^Steel-blues of the mop: / }).click();
  await page.getByRole('button', { name: 'Open Steel-blues of the mop' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Card for the tub' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('steel-blues-of-the-mop-card.pdf');
});
