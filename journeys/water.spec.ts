import type { Page } from '@playwright/test';
import { atRest } from './atRest';
import { expect, test } from './product';

const millpond = async (page: Page, url: string): Promise<string> => {
  const { items } = await (await page.request.get(`${url}/api/tanks`)).json();
  return items.find(({ name }: { name: string }) => name === 'Millpond').id;
};

test('a change of water is asked for in buckets, done with a tap, and taken back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole('button', { name: /^Millpond: change/ }).click();
  const card = page.getByLabel('Water of Millpond', { exact: true });
  await expect(card.getByText(/^Change 52 L, 25 %: 1 day late/)).toBeVisible();
  await expect(card.getByText(/^5 buckets of 10 L and/)).toBeVisible();
  // What stands above comes by itself: a click on what still moves goes beside it.
  await atRest(page);
  await card.getByRole('button', { name: 'Changed: Millpond' }).click();
  await expect(page.getByText('Water of Millpond is changed.')).toBeVisible();
  await expect(card).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(card).toBeVisible();
});

test('a test in another unit is noted, told eight weeks on, and what keeps it under is taken', async ({
  page,
  demo,
}) => {
  const id = await millpond(page, demo.url);
  await page.goto(`${demo.url}/tanks/${id}`);
  await page.getByRole('button', { name: 'Water', exact: true }).click();
  await expect(page).toHaveURL(/\/water$/);
  await expect(page.getByRole('img', { name: /^Nitrate today about/ })).toBeVisible();
  await page.getByRole('button', { name: 'Log a test' }).click();
  await page.getByRole('radio', { name: 'NO3-N' }).click();
  await page.getByLabel('Nitrate', { exact: true }).fill('8');
  await page.getByRole('button', { name: 'Note the test' }).click();
  await expect(page.getByText('The test of Millpond is noted.')).toBeVisible();
  await expect(page.getByText('Nitrate 35 mg/L NO3').first()).toBeVisible();
  // Of how often and how much either is enough by itself: the plan takes it.
  await page.getByRole('button', { name: /^Change so much: \d+ %/ }).click();
  await expect(page.getByText(/The rhythm is saved/)).toBeVisible();
});

test('a test that cannot be is asked about, and its unit is named', async ({ page, demo }) => {
  const id = await millpond(page, demo.url);
  await page.goto(`${demo.url}/tanks/${id}/water`);
  await page.getByRole('button', { name: 'Log a test' }).click();
  await page.getByLabel('Nitrate', { exact: true }).fill('140');
  await page.getByRole('button', { name: 'Note the test' }).click();
  await expect(page.getByText(/about 4.4 times off the others/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the test back' }).click();
  await expect(page.getByText(/about 4.4 times off the others/)).toBeHidden();
});
