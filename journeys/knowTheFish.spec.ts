import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, goTo, pick, test } from './product';

async function groupNamed(page: Page, url: string, name: string) {
  const { items } = await (await page.request.get(`${url}/api/groups`)).json();
  return items.find((group: { name: string }) => group.name === name);
}

const TABLE = [
  'Tank\tSize\tTemp\tSpecies\tMales\tFemales\tNumber\tLength',
  'Hall\t24 x 12 x 16 in\t78F\tneon tetra\t\t\t12\t1 1/4 in',
  'Hall\t\t\tkulhi loach\t\t\t8\t',
  'Shed\t\t\tguppies\t3\t6\t\t',
].join('\n');

test('a whole house is pasted, checked cell by cell, and is there', async ({ page, empty }) => {
  await page.goto(`${empty.url}/tanks`);
  await page.getByRole('button', { name: 'Paste a whole house' }).click();
  await page.getByLabel('Paste it here').fill(TABLE.replace('guppies', 'unicorns'));
  await page.getByRole('button', { name: 'Check it' }).click();
  await expect(page.getByText(/2 new, 1 to be corrected/)).toBeVisible();
  await expect(page.getByText(/no species is called «unicorns»/)).toBeVisible();
  await expect(page.getByText('taken as Kuhli loach')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeDisabled();
  await page.getByLabel('Paste it here').fill(TABLE);
  await page.getByRole('button', { name: 'Check it' }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('3 new: it is all in.')).toBeVisible();
  await goTo(page, 'Tanks');
  await expect(page.getByText('12 neon tetra, 8 kuhli loach').first()).toBeVisible();

  // out again, and in: a file that changes nothing
  await page.goto(`${empty.url}/tables`);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save tanks as CSV' }).click();
  const file = await (await saving).path();
  await page.getByRole('radio', { name: 'Tanks' }).click();
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a CSV file' }).click();
  await (
    await choosing
  ).setFiles({ name: 'tanks.csv', mimeType: 'text/csv', buffer: readFileSync(file) });
  await page.getByRole('button', { name: 'Check it' }).click();
  await expect(page.getByText('2 as they are.')).toBeVisible();
});

test('a group lives by events: lost, moved, set apart, corrected, taken back, read back', async ({
  page,
  demo,
}) => {
  const threads = await groupNamed(page, demo.url, 'Threadfin rainbowfish');
  await page.goto(`${demo.url}/groups/${threads.id}`);
  await page.getByRole('button', { name: 'Losses' }).click();
  const sheet = page.getByRole('dialog');
  for (let more = 0; more < 7; more += 1) {
    await sheet.getByRole('button', { name: 'More: Females' }).click();
  }
  await sheet.getByRole('button', { name: 'Note it' }).click();
  await expect(
    sheet.getByText(/the loss of 7 females on .*: only 4 males, 6 females/i),
  ).toBeVisible();
  await sheet.getByRole('button', { name: 'Less: Females' }).click();
  await pick(page, 'Of what', 'jumped out');
  await sheet.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('4 fish (4 m)').first()).toBeVisible();

  // what was wrong is corrected, and stays in sight
  await page.getByRole('link', { name: /6 fish \(6 f\) lost, jumped out/ }).click();
  await page.getByRole('button', { name: 'Correct it' }).click();
  for (let less = 0; less < 5; less += 1) {
    await sheet.getByRole('button', { name: 'Less: Females' }).click();
  }
  await sheet.getByRole('button', { name: 'Put this in its place' }).click();
  await expect(page.getByText('9 fish (4 m, 5 f)').first()).toBeVisible();
  await expect(page.getByText(/taken back/).first()).toBeVisible();

  await page.getByRole('button', { name: 'Something else' }).click();
  await page.getByRole('link', { name: /^Set apart/ }).click();
  await sheet.getByRole('button', { name: 'More: Males' }).click();
  await pick(page, 'In tank', 'Race');
  await sheet.getByRole('button', { name: 'Set them apart' }).click();
  await expect(page.getByText('8 fish (3 m, 5 f)').first()).toBeVisible();
  const apart = await groupNamed(page, demo.url, 'Threadfin rainbowfish, apart');
  expect(apart).toMatchObject({ stage: 'quarantine', size: { males: 1, total: 1 } });

  await page.getByLabel('As they were on').fill('2026-02-01');
  await expect(
    page.getByRole('status').getByText(/10 fish \(4 m, 6 f\), adult, in Tarn/),
  ).toBeVisible();

  // and home again
  await page.goto(`${demo.url}/groups/${apart.id}`);
  await page.getByRole('button', { name: 'Something else' }).click();
  await page.getByRole('link', { name: /^Join another group/ }).click();
  await pick(page, 'They join', 'Threadfin rainbowfish');
  await page.getByRole('button', { name: 'Join them' }).click();
  await expect(page.getByText('9 fish (4 m, 5 f)').first()).toBeVisible();
});

test('several groups move at once, and a past day can be looked at', async ({ page, demo }) => {
  await page.goto(`${demo.url}/fish`);
  await page.getByLabel('Filter by name, species, stage or tank').fill('tarn');
  await expect(page.getByText('3 groups, 26 fish')).toBeVisible();
  await page.getByRole('button', { name: 'Select' }).click();
  await page.getByRole('link', { name: /^Kuhli loaches/ }).click();
  await page.getByRole('link', { name: /^Marbled hatchetfish/ }).click();
  await page.getByRole('button', { name: 'Move to …' }).click();
  await pick(page, 'To tank', 'Millpond');
  await page.getByRole('button', { name: 'Move them' }).click();
  await expect(page.getByText('2 groups are in Millpond.')).toBeVisible();
  await expect(page.getByText('1 groups, 10 fish')).toBeVisible();
  const more = page.getByRole('button', { name: 'Another order, another day' });
  if (await more.isVisible()) await more.click();
  await page.getByLabel('As they were on').fill('2026-03-01');
  await expect(page.getByText('3 groups, 26 fish')).toBeVisible();
});

test('a species is found in spite of its spelling, copied, changed, and lived by', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/species`);
  await page.getByLabel('Search by any name, or by family').fill('kulhi');
  await page
    .getByRole('link', { name: /^Kuhli loach/ })
    .first()
    .click();
  await expect(page.getByRole('img', { name: /Kuhli loach: eel-like, 10 cm/ })).toBeVisible();
  await expect(page.getByText('Where the figures come from')).toBeVisible();
  await page.getByRole('button', { name: 'Copy as my own' }).click();
  await page.getByLabel('What you call it').fill('Stream kuhli');
  await page.getByLabel('Length when grown, cm').fill('5 in');
  await page.getByLabel('Boldness, 0 hangs back to 1 takes everything').fill('7');
  await page.getByRole('button', { name: 'Keep it as my own' }).click();
  await expect(page.getByText(/Boldness, as a share, must lie between 0 and 1/i)).toBeVisible();
  await page.getByLabel('Boldness, 0 hangs back to 1 takes everything').fill('0.6');
  await page.getByRole('button', { name: 'Keep it as my own' }).click();
  await expect(page.getByRole('heading', { name: 'Stream kuhli' })).toBeVisible();
  await expect(
    page.getByText(/12.7 cm when grown; invertebrate picker, comes readily/),
  ).toBeVisible();

  await goTo(page, 'Tanks');
  await page.getByRole('link', { name: /^Race/ }).click();
  await page.getByRole('button', { name: 'Add fish' }).click();
  await page.getByRole('button', { name: /^In long form/ }).click();
  await page.getByRole('button', { name: 'A group', exact: true }).click();
  await pick(page, 'Species', 'stream kuhli');
  await page.getByRole('button', { name: 'More: Not sexed' }).click();
  await page.getByLabel('Mean length, nose to tail tip, cm').fill('40');
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(
    page.getByText(/grow to about 12.7 cm. Is 40 cm right, and in the right unit/i).first(),
  ).toBeVisible();
  await page.getByLabel('Mean length, nose to tail tip, cm').fill('9');
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(page).toHaveURL(/diet/);

  // a group that was there before becomes of the keeper's own species too
  const kuhlis = await groupNamed(page, demo.url, 'Kuhli loaches');
  await page.goto(`${demo.url}/groups/${kuhlis.id}`);
  await page.getByRole('button', { name: 'Something else' }).click();
  await page.getByRole('link', { name: /^Name and species/ }).click();
  await page.getByLabel('What you call them').fill('Stream kuhlis');
  await pick(page, 'Species', 'stream kuhli');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Stream kuhlis' })).toBeVisible();
  expect((await groupNamed(page, demo.url, 'Stream kuhlis')).speciesKey).toMatch(/^own-/);
});

test('living together is said from figures, and a tank is made like another', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/tanks`);
  await page.getByRole('link', { name: /^Tarn/ }).click();
  const card = page.getByRole('group', { name: 'Living together' });
  await expect(card.getByText('Kuhli loaches feed while the others sleep')).toBeVisible();
  await card.getByRole('button', { name: /^Why Kuhli loaches feed/ }).click();
  await expect(page.getByRole('dialog').getByText(/Readiness of Kuhli loach by day/)).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).last().click();
  await page.getByRole('button', { name: 'Another like this' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Tarn 2');
  await page.getByRole('button', { name: 'Correct these' }).click();
  await pick(page, 'Plants', 'dense');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect(page.getByText('Tarn 2 is made', { exact: false })).toBeVisible();
  await expect(page.getByText(/dense plants; tight cover/).first()).toBeVisible();
});
