import type { Page } from '@playwright/test';
import { expect, test, openStop } from './product';

async function tankOf(page: Page, url: string, name: string): Promise<string> {
  const { items } = await (await page.request.get(`${url}/api/tanks`)).json();
  return items.find((tank: { name: string }) => tank.name === name).id;
}

test('a meal is played from the Round: shares fill, the day is one picture, the keys move time', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole('tab', { name: /After work/ }).click();
  await openStop(page, 'Tarn');
  await page.getByRole('button', { name: 'Who gets the food in Tarn' }).click();
  await expect(page).toHaveURL(/\/tanks\/.+\/play\?moment=/);
  const shares = page.getByRole('list', { name: 'Shares of the day’s need' });
  await expect(shares.getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText(/Kuhli loaches get \d+ % of what is eaten/).first()).toBeAttached();
  await expect(shares.getByText(/in the end, likely [\d.]+ % to [\d.]+ %/)).toHaveCount(3);
  const pause = page.getByRole('button', { name: 'Pause' });
  if (await pause.isVisible()) await pause.click();
  const time = page.getByRole('slider', { name: 'Time in the feeding' });
  await time.focus();
  await page.keyboard.press('Home');
  await expect(time).toHaveAttribute('aria-valuetext', /^18:30, 0 s in$/);
  await expect(shares.getByText('0 %', { exact: true })).toHaveCount(3);
  await page.keyboard.press('End');
  await expect(page.getByText(/^\d+ min in$/)).toBeVisible();
  // At its end every bar has reached what was said of it.
  const [first] = await shares.getByText(/in the end/).allTextContents();
  const end = /^([\d.]+ %) in the end/.exec(first!)![1]!;
  await expect(shares.getByRole('listitem').first().getByText(end, { exact: true })).toBeVisible();
  await page.getByRole('tab', { name: 'Whole day' }).click();
  await expect(
    page.getByRole('img', { name: /^The day of Tarn\. .*Kuhli loaches: / }),
  ).toBeVisible();
});

test('the loaches are helped: every way is tried, and the best goes into the plan', async ({
  page,
  demo,
}) => {
  const tarn = await tankOf(page, demo.url, 'Tarn');
  const groups = async () =>
    (await (await page.request.get(`${demo.url}/api/groups`)).json()).items;
  const dietOf = async () =>
    (await groups()).find((group: { name: string }) => group.name === 'Kuhli loaches').diet;
  const before = await dietOf();
  await page.goto(`${demo.url}/tanks/${tarn}/play`);
  await page.getByRole('radio', { name: 'Kuhli loaches' }).click();
  await page.getByRole('button', { name: 'How could Kuhli loaches get more?' }).click();
  await expect(page.getByText(/\d+ of \d+ ways tried/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText(/ways tried/)).toHaveCount(0);
  await page.getByRole('button', { name: 'How could Kuhli loaches get more?' }).click();
  const advice = page.getByText(/Kuhli loaches get \d+ % of their need, not \d+ %/).first();
  await expect(advice).toBeVisible();
  const [, then, now] = /get (\d+) % of their need, not (\d+) %/.exec(
    (await advice.textContent()) ?? '',
  )!;
  expect(Number(then)).toBeGreaterThan(Number(now));
  await page
    .getByRole('button', { name: /^Put it into the plan/ })
    .first()
    .click();
  await expect(page.getByText(/It is in the plan of Kuhli loaches/)).toBeVisible();
  expect((await dietOf()).version).toBe(before.version + 1);
  expect((await dietOf()).servings).not.toEqual(before.servings);
  // The picture follows the plan: what was promised is what it now shows.
  await page.getByRole('tab', { name: 'Whole day' }).click();
  const day = page.getByRole('img', { name: /^The day of Tarn/ });
  const shown = async () =>
    Number(
      /Kuhli loaches: (\d+) % of its need/.exec((await day.getAttribute('aria-label')) ?? '')?.[1],
    );
  await expect.poll(shown).toBeGreaterThan(Number(now));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await dietOf()).version).toBe(before.version + 2);
  expect((await dietOf()).servings).toEqual(before.servings);
});

test('what is seen is noted and learned from; it can be frozen, forgotten and taken back', async ({
  page,
  demo,
}) => {
  const sluice = await tankOf(page, demo.url, 'Sluice');
  await page.goto(`${demo.url}/tanks/${sluice}/play`);
  for (const minutes of ['11', '13,5']) {
    await page.getByRole('radio', { name: 'Gone', exact: true }).click();
    await page.getByLabel('Minutes until it was gone').fill(minutes);
    await page
      .getByRole('radiogroup', { name: 'Celestial pearl danios that came' })
      .getByRole('radio', { name: 'Some' })
      .click();
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByText(/^Noted\./)).toBeVisible();
  }
  await page.getByRole('button', { name: /^Learn from 2 meals/ }).click();
  await expect(page.getByText(/^Learned\. /)).toBeVisible();
  await expect(
    page.getByText(/^Learned from \d+ looks at meals and bellies\. The pictures above use it\.$/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Freeze it' }).click();
  await expect(
    page.getByText(/^Learned from \d+ looks at meals and bellies; frozen/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /^Learn from/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(page.getByText(/^Nothing yet: every group is expected/)).toBeVisible();
  await page.getByRole('button', { name: '2 noted here' }).click();
  await page
    .getByRole('button', { name: /^Take back what was seen/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: '1 noted here' })).toBeVisible();
});
