import { atRest } from './atRest';
import { expect, test } from './product';

test('a tap that is made twice, or whose answer is lost, is one act', async ({ page, demo }) => {
  await page.goto(`${demo.url}/larder/live`);
  const fed = page.getByRole('button', { name: /^Fed: / }).first();
  await expect(fed).toBeVisible();
  await atRest(page);
  const { items } = await (await page.request.get(`${demo.url}/api/vessels`)).json();
  const count = async () => {
    let sum = 0;
    for (const { id } of items as { id: string }[]) {
      const events = await page.request.get(`${demo.url}/api/vessels/${id}/events?limit=1000`);
      sum += (await events.json()).items.length;
    }
    return sum;
  };
  const before = await count();
  await fed.dblclick();
  await expect(page.getByText(/is fed\.$/)).toBeVisible();
  expect(await count()).toBe(before + 1);

  // The answer to a new tank is lost on its way; what was typed is still there, and goes out again.
  await page.goto(`${demo.url}/tanks/new`);
  await page.getByLabel('Name').fill('Mill race');
  await page.getByLabel('Inside length, cm').fill('60');
  await page.getByLabel('Inside width, cm').fill('30');
  await page.getByLabel('Inside height, cm').fill('36');
  let lost = 0;
  await page.route('**/api/tanks', async (route) => {
    if (route.request().method() !== 'POST' || lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    return route.abort();
  });
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect(page.getByText(/cannot be reached/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name')).toHaveValue('Mill race');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect(page.getByRole('heading', { name: 'Mill race' }).first()).toBeVisible();
  const made = await (await page.request.get(`${demo.url}/api/tanks?limit=1000`)).json();
  expect(made.items.filter(({ name }: { name: string }) => name === 'Mill race')).toHaveLength(1);
});

test('a part that does not load says so, and is tried again', async ({ page, demo }) => {
  // All but the first screen comes as one script, once that screen is there.
  await page.route('**/_expo/**/house-*.js', (route) => route.abort());
  await page.goto(`${demo.url}/round`);
  await expect(page.getByRole('heading').first()).toBeVisible();
  await atRest(page);
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Week' })
    .click();
  await expect(page.getByText('This part has not loaded')).toBeVisible();
  // The rest goes on.
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Round' })
    .click();
  await expect(page.getByRole('heading').first()).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Week' })
    .click();
  await expect(page.getByText('This part has not loaded')).toBeVisible();
  await page.unroute('**/_expo/**/house-*.js');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('What reaches each group')).toBeVisible();
});
