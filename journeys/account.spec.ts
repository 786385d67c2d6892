import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { atRest } from './atRest';
import { expect, test } from './product';

const saved = async (page: Page, press: () => Promise<void>) => {
  const saving = page.waitForEvent('download');
  await press();
  const download = await saving;
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
};

test('what came of it: losses, water and costs told, a food rated, and all of it as CSV', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/records`);
  await page.getByRole('tab', { name: 'What came of it' }).click();
  await expect(page.getByText('1 lost, jumped out')).toBeVisible();
  await expect(page.getByText(/9 → 8 fish; lost: 1 jumped out/)).toBeVisible();
  const { name, bytes } = await saved(page, () =>
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  );
  expect(name).toMatch(/^groups-.*\.csv$/);
  expect(bytes.toString()).toContain('Marbled hatchetfish');
  await page.getByRole('radio', { name: 'water' }).click();
  await expect(page.getByText(/7 changes of water, .* in all/)).toBeVisible();
  await page.getByRole('radio', { name: 'food' }).click();
  await page.getByRole('button', { name: 'Rate what Fine flake did' }).click();
  await page.getByRole('radio', { name: 'brighter' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('What Fine flake did is noted.')).toBeVisible();
  await expect(page.getByText('Fine flake: brighter')).toBeVisible();
  await page.getByRole('button', { name: /^Take back: Fine flake/ }).click();
  await expect(page.getByText('Fine flake: brighter')).toBeHidden();
});

test('groups, batches and seasons stand beside each other, their curves fitted in a worker', async ({
  page,
  demo,
}) => {
  const { items } = await (await page.request.get(`${demo.url}/api/groups`)).json();
  const grown = items.find(({ name }: { name: string }) => name === 'Threadfin rainbowfish');
  for (const [day, lengthCm] of [
    ['2026-02-20', 3.7],
    ['2026-03-08', 3.8],
  ] as const) {
    const event = { id: crypto.randomUUID(), kind: 'measured', day, lengthCm };
    await page.request.post(`${demo.url}/api/groups/${grown.id}/events`, { data: event });
  }
  await page.goto(`${demo.url}/records/compare`);
  await expect(page.getByRole('table', { name: 'Groups beside each other' })).toBeVisible();
  await page.getByRole('button', { name: 'One more' }).click();
  await expect(page.getByRole('columnheader')).toHaveCount(4);
  await page.getByRole('radio', { name: 'seasons of one group' }).click();
  await expect(page.getByRole('columnheader', { name: /^Jan to Mar/ })).toBeVisible();
  await page.getByRole('radio', { name: 'batches of one kind' }).click();
  await page.getByRole('button', { name: /^Which kind/ }).click();
  await page
    .getByRole('dialog')
    .getByRole('link', { name: /Threadfin rainbowfish/ })
    .click();
  await expect(page.getByRole('rowheader', { name: 'After 30 days' })).toBeVisible();
  // Of seven measurements there is a curve, with its interval.
  await expect(page.getByRole('cell', { name: /cm \(\d.* to \d/ }).first()).toBeVisible();
});

test('a trial is planned with the fish that it takes, measured, and ended with no false conclusion', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/records?tab=trials`);
  await expect(page.getByText('More hatched shrimp for the young')).toBeVisible();
  await expect(page.getByText(/^No conclusion: they grew/)).toBeVisible();
  await page.getByRole('button', { name: 'Plan a trial' }).click();
  await page.getByRole('radio', { name: 'one tank, before and after' }).click();
  await page.getByLabel('What is asked').fill('Green gel for the loaches');
  await page.getByRole('button', { name: /^Which fish/ }).click();
  await page
    .getByRole('dialog')
    .getByRole('link', { name: /Hillstream loaches/ })
    .last()
    .click();
  await expect(page.getByText('After 8 weeks')).toBeVisible();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/Green gel for the loaches: the trial is planned/)).toBeVisible();
  await page.getByRole('button', { name: 'End the trial Green gel for the loaches' }).click();
  await expect(page.getByText('Green gel for the loaches is ended.')).toBeVisible();
  await page.getByRole('button', { name: 'Put the trial Green gel for the loaches away' }).click();
  await expect(page.getByText('Green gel for the loaches is put away.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/Too early to tell: measure a few at the beginning/)).toBeVisible();
});

test('what was decided stands with what it led to, and a summary fits on a page', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await atRest(page);
  await page.getByRole('button', { name: /^(\d+ proposals|A proposal)/ }).click();
  await page
    .getByRole('button', { name: 'Ask about the portions of Pearl gouramis in a week' })
    .click();
  await expect(page.getByText(/asked again in a week/)).toBeVisible();
  await page.goto(`${demo.url}/records?tab=decided`);
  await expect(page.getByText(/^Pearl gouramis: \d+ % less, put off for a week/)).toBeVisible();
  await expect(page.getByText(/Kuhli loaches: \d+ % more, declined/)).toBeVisible();
  await page.getByRole('button', { name: /^Take back: Pearl gouramis/ }).click();
  await expect(page.getByText(/^Pearl gouramis: \d+ % less, put off for a week/)).toBeHidden();
  await page.goto(`${demo.url}/tanks`);
  const { items } = await (await page.request.get(`${demo.url}/api/tanks`)).json();
  await page.goto(`${demo.url}/tanks/${items[0].id}`);
  const summary = await saved(page, () =>
    page.getByRole('button', { name: 'Print a summary' }).click(),
  );
  expect(summary.name).toMatch(/-summary\.pdf$/);
  expect(summary.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto(`${demo.url}/tables`);
  const log = await saved(page, () =>
    page.getByRole('button', { name: 'Save cultures as CSV' }).click(),
  );
  expect(log.bytes.toString()).toContain('harvested');
});
