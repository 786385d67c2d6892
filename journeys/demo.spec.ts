import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, goTo, openStop, test } from './product';

const PLACES = ['Round', 'Tanks', 'Week', 'Larder', 'Records'] as const;
/** Views behind the places, by address. */
const BEHIND = [
  '/records/compare',
  '/records?tab=account',
  '/records?tab=trials',
  '/records?tab=decided',
  '/fish',
  '/species',
  '/species/pangio-kuhlii',
  '/tables',
  '/tanks/new',
  '/larder/compare',
  '/larder/new',
  '/larder/recipes',
  '/larder/recipes/new',
  '/larder/live',
  '/larder/live/new',
  '/larder/live/supply',
  '/broods',
  '/broods/new',
  '/broods/condition',
  '/week/house',
  '/week/dry-run',
];

test('the demo: every place, both themes, accessible and without sideways scroll', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  for (const theme of ['lit', 'lamp']) {
    if (theme === 'lamp') await page.getByRole('switch', { name: 'Lamp-off theme' }).click();
    for (const place of PLACES) {
      await goTo(page, place);
      await sound(page, `${place}, ${theme}`);
    }
    await goTo(page, 'Round');
  }
});

test('the views behind them, accessible and without sideways scroll', async ({ page, demo }) => {
  // Each is searched for faults as a whole: together they take long.
  test.slow();
  const { items } = await (await page.request.get(`${demo.url}/api/recipes`)).json();
  const recipe = `/larder/recipes/${items[0].id}`;
  const tanks = await (await page.request.get(`${demo.url}/api/tanks`)).json();
  const feeding = `/tanks/${tanks.items[0].id}/play`;
  const water = `/tanks/${tanks.items[0].id}/water`;
  const groups = await (await page.request.get(`${demo.url}/api/groups`)).json();
  const growth = groups.items
    .filter(({ lengthCm }: { lengthCm: number | null }) => lengthCm !== null)
    .slice(-2)
    .map(({ id }: { id: string }) => `/groups/${id}/growth`);
  const vessels = await (await page.request.get(`${demo.url}/api/vessels`)).json();
  const vessel = `/larder/live/${vessels.items[0].id}`;
  const broods = await (await page.request.get(`${demo.url}/api/broods`)).json();
  const both = broods.items.map(({ id }: { id: string }) => `/broods/${id}`);
  for (const address of [
    ...BEHIND,
    recipe,
    `${recipe}/edit`,
    feeding,
    water,
    ...growth,
    vessel,
    ...both,
  ]) {
    await page.goto(demo.url + address);
    await sound(page, address);
  }
});

/** A screen is there, does not scroll sideways, and is accessible. */
async function sound(page: Page, what: string) {
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByLabel('Loading')).toHaveCount(0);
  const width = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(width, `${what} scrolls sideways`).toBeLessThanOrEqual(0);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${what}: ${id} ${nodes[0]?.html}`)).toEqual([]);
}

test('a round: served, all of a tank, skipped, undone, and the shelf follows', async ({
  page,
  demo,
}) => {
  // A morning of the same weekday, on which nothing is served yet.
  await demo.letItBe(page, '2026-03-17T06:20:00Z');
  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /Before work/ }).click();
  const undoAll = page.getByRole('button', { name: /^Undo: / });
  const before = await stock(page, demo.url, 'Fine flake');
  await page.getByRole('button', { name: /^Served: .* Fine flake for Pearl gouramis/ }).click();
  await expect(undoAll).toHaveCount(1);
  await expect.poll(() => stock(page, demo.url, 'Fine flake')).toBeLessThan(before);
  await openStop(page, 'Tarn');
  await page.getByRole('button', { name: 'All of Tarn as planned' }).click();
  await expect(undoAll).not.toHaveCount(0);
  await openStop(page, 'Alder');
  await page
    .getByRole('button', {
      name: /^Less, more, refused or skipped: Frozen brine shrimp for Steel-blue/,
    })
    .click();
  await page.getByRole('radio', { name: 'Skipped' }).click();
  await page.getByLabel('Why', { exact: true }).fill('spawning');
  await page.getByRole('button', { name: 'Log skipped' }).click();
  await expect(page.getByText(/skipped \d\d:\d\d · spawning/)).toBeVisible();
  await openStop(page, 'Millpond');
  await page.getByRole('button', { name: /^Undo: Fine flake for Pearl gouramis/ }).click();
  await openStop(page, 'Tarn');
  await page.getByRole('button', { name: /^Undo: Fine flake for Marbled hatchetfish/ }).click();
  await expect.poll(() => stock(page, demo.url, 'Fine flake')).toBeCloseTo(before, 6);
});

test('two devices: a stale edit shows both versions; a serving is logged once', async ({
  page,
  demo,
  context,
}) => {
  const other = await context.newPage();
  await page.goto(`${demo.url}/tanks`);
  await page.getByRole('link', { name: /^Race/ }).click();
  await expect(page).toHaveURL(/\/tanks\/.+/);
  const edit = `${page.url()}/edit`;
  for (const device of [page, other]) {
    await device.goto(edit);
    await expect(device.getByLabel('Name')).toHaveValue('Race');
  }
  await other.getByLabel('Water temperature, °C').fill('26');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('Race is saved.')).toBeVisible();
  await page.getByLabel('Water temperature, °C').fill('23');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Temperature: yours 23, theirs 26')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByText('Race is saved.')).toBeVisible();

  for (const device of [page, other]) {
    await device.goto(`${demo.url}/round`);
    await device.getByRole('tab', { name: /After lights-out/ }).click();
    await openStop(device, 'Millpond');
  }
  await page.getByRole('button', { name: /^Served: .* Worm tablet/ }).click();
  await expect(page.getByRole('button', { name: /^Undo: Worm tablet/ })).toBeVisible();
  await expect
    .poll(
      async () =>
        (await (await page.request.get(`${demo.url}/api/feedings?limit=1`)).json()).items[0]
          ?.outcome,
    )
    .toBe('served');
  // The other device shows it before it can be served twice.
  await expect(other.getByRole('button', { name: /^Undo: Worm tablet/ })).toBeVisible();
  await expect(other.getByRole('button', { name: /^Served: .* Worm tablet/ })).toHaveCount(0);
  const { items } = await (await page.request.get(`${demo.url}/api/feedings?limit=2`)).json();
  expect(items[0].servingId).not.toBe(items[1].servingId);
});

test('putting away can be undone; addresses are deep; the keyboard suffices for a serving', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/larder`);
  const jar = page.getByRole('link', { name: /^Green gel, \d+ days?$/ });
  await jar.click();
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByText('Green gel is taken down', { exact: false })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Green gel/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(jar).toBeVisible();

  await page.getByRole('link', { name: /^Fry powder/ }).click();
  await expect(page).toHaveURL(/\/larder\/.+/);
  await page.goBack();
  await expect(page).toHaveURL(/\/larder$/);

  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /After work/ }).click();
  await openStop(page, 'Race');
  const serve = page.getByRole('button', { name: /^Served: .* for Glass catfish/ });
  await serve.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Undo: .* for Glass catfish/ })).toBeVisible();
});

test('without the server the screen says so, keeps what is served, and sends it later', async ({
  page,
  demo,
  context,
}) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /After work/ }).click();
  await openStop(page, 'Race');
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Served: .* for Glass catfish/ }).click();
  await expect(page.getByRole('button', { name: /^Undo: .* for Glass catfish/ })).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^1 kept here, no connection/ }).first(),
  ).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('button', { name: 'All is sent' }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Undo: .* for Glass catfish/ })).toBeVisible();
});

async function stock(
  page: import('@playwright/test').Page,
  url: string,
  name: string,
): Promise<number> {
  const { items } = await (await page.request.get(`${url}/api/foods`)).json();
  return items.find((food: { name: string }) => food.name === name).remainingG;
}
