import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, pick, test } from './product';

test('a label is pasted as it is printed, read, and what it leaves out is marked', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/larder/new`);
  await pick(page, 'Start from a generic food', 'plant tablet');
  await page.getByRole('button', { name: 'Paste its label' }).click();
  const label = page.getByLabel('The label, as it is printed');
  await label.fill('a lovely food for lovely fish');
  await expect(page.getByText(/No analysis was found here/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Use these figures' })).toBeDisabled();
  await label.fill(
    'Crude Protein (min.) 340 g/kg; oils & fats 5,2 %; fibre max 7 %; omega three 2 %',
  );
  await expect(page.getByText('Not understood, and left out: omega three 2 %.')).toBeVisible();
  await expect(page.getByText('not on the label: usual for dry food').first()).toBeVisible();
  await page.getByRole('button', { name: 'Use these figures' }).click();
  await expect(page.getByLabel('Protein, %')).toHaveValue('34');
  await expect(page.getByLabel('Fat, %')).toHaveValue('5.2');
  await expect(page.getByLabel('Ash, %')).toHaveValue('10');
  await page.getByLabel('Amount, g').fill('100');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/protein 37 % · fat 5.7 %/)).toBeVisible();
});

async function foodOf(page: Page, url: string, name: string) {
  const { items } = await (await page.request.get(`${url}/api/foods`)).json();
  return items.find((food: { name: string }) => food.name === name);
}

test('a pinch is weighed in, and the Round is dealt by it', async ({ page, demo }) => {
  const flake = await foodOf(page, demo.url, 'Fine flake');
  await page.goto(`${demo.url}/larder/${flake.id}`);
  await expect(page.getByText(/a guess until you weigh some/)).toBeVisible();
  for (const mass of ['2 g', '2,4 g']) {
    await page.getByRole('button', { name: 'Weigh some' }).click();
    await page.getByLabel('They weigh together, g').fill(mass);
    await page.getByLabel('Whose hand').fill('Left hand');
    await page.getByRole('button', { name: 'Note the weighing' }).click();
    await expect(page.getByText(/portions follow/).first()).toBeVisible();
  }
  // Forty pinches weighed 4.4 g: twice what the shelf took until now.
  await expect(page.getByText('0.11 g', { exact: true }).first()).toBeVisible();
  await expect(
    page.getByText(/40 pinches in 2 weighings · one differs from the next by/),
  ).toBeVisible();
  const round = await page.request.get(`${demo.url}/api/round/2026-03-11?hand=Left%20hand`);
  const servings = (await round.json()).moments.flatMap(
    (moment: { stops: { servings: object[] }[] }) => moment.stops.flatMap((stop) => stop.servings),
  );
  const dealt = servings.find((one: { foodName: string }) => one.foodName === 'Fine flake');
  expect(dealt.unit.massG).toBeCloseTo(0.11, 9);
  await page.goto(`${demo.url}/settings`);
  await expect(page.getByRole('radio', { name: 'Left hand' })).toBeChecked();
  await page.goBack();
  await page
    .getByRole('button', { name: 'Take back what was weighed by Left hand' })
    .first()
    .click();
  await expect(page.getByText(/20 pinches in 1 weighing/)).toBeVisible();
});

test('a mix is written, balanced, made, labelled and fed: the shelf follows', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/larder/recipes`);
  await page.getByRole('button', { name: 'New recipe' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Dusk gel');
  for (const [at, food, share] of [
    [1, 'Blanched spinach', '50'],
    [2, 'Worm tablet', '10'],
    [3, 'Gelatine', '7'],
  ] as const) {
    await page.getByRole('button', { name: 'Add an ingredient' }).click();
    await pick(page, `Ingredient ${at}`, food);
    await page
      .getByLabel('Share, %')
      .nth(at - 1)
      .fill(share);
  }
  await page
    .getByRole('checkbox', { name: /Keep its share/ })
    .nth(2)
    .click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/The shares add up to 67.0 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Add water' }).click();
  await expect(page.getByText('adds up to 100 %')).toBeVisible();
  await page.getByRole('button', { name: /^Balance it/ }).click();
  await page.getByLabel('Plant, least, %').fill('40');
  await page.getByLabel('Plant, most, %').fill('60');
  await page.getByRole('radio', { name: 'any amount' }).click();
  await page.getByRole('button', { name: 'Balance the shares' }).click();
  await expect(page.getByText('Every target is reached.')).toBeVisible();
  await expect(page.getByLabel('Share, %').nth(2)).toHaveValue('7');
  await page.getByRole('button', { name: 'Write it down' }).click();

  await page.getByRole('button', { name: 'Make a batch' }).click();
  const tablets = (await foodOf(page, demo.url, 'Worm tablet')).remainingG;
  await page.getByLabel('When it is done, it weighs, g').fill('10 pieces');
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByText(/of Dusk gel are on the shelf/)).toBeVisible();
  const gel = await foodOf(page, demo.url, 'Dusk gel');
  expect(gel.lots).toHaveLength(1);
  expect((await foodOf(page, demo.url, 'Worm tablet')).remainingG).toBeLessThan(tablets);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Labels of the batch/ }).click();
  const download = await saving;
  expect(download.suggestedFilename()).toMatch(/^labels-dusk-gel-.*\.pdf$/);
  expect(
    readFileSync(await download.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText('None was made yet.')).toBeVisible();
  expect((await foodOf(page, demo.url, 'Worm tablet')).remainingG).toBeCloseTo(tablets, 6);

  // It cannot be put into itself, and what was typed stays.
  await page.getByRole('button', { name: 'Change recipe' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Dusk gel');
  await page.getByRole('button', { name: /^Ingredient 1/ }).click();
  await expect(page.getByText('Blanched courgette').first()).toBeVisible();
  await expect(page.getByRole('option', { name: /^Dusk gel/ })).toHaveCount(0);
});

test('a shelf goes out as tables, and is counted and stocked by one', async ({ page, demo }) => {
  await page.goto(`${demo.url}/larder`);
  await page.getByRole('button', { name: 'As tables' }).click();
  await expect(page.getByRole('radio', { name: 'Foods' })).toBeChecked();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save lots as CSV' }).click();
  const text = readFileSync(await (await saving).path(), 'utf8');
  await page.getByRole('radio', { name: 'Lots' }).click();
  await page.getByLabel('Paste it here').fill(text);
  await page.getByRole('button', { name: 'Check it' }).click();
  await expect(page.getByText('14 as they are.')).toBeVisible();
  await page
    .getByLabel('Paste it here')
    .fill(
      'food,amount,price,place,best before\nFine flake,2 oz,9.50,fridge,2026-12-01\nNo such food,1 g,,,',
    );
  await page.getByRole('button', { name: 'Check it' }).click();
  await expect(page.getByText(/no food here has this name/)).toBeVisible();
  await page
    .getByLabel('Paste it here')
    .fill('food,amount,price,place,best before\nFine flake,2 oz,9.50,fridge,2026-12-01');
  await page.getByRole('button', { name: 'Check it' }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('1 new: it is all in.')).toBeVisible();
  const flake = await foodOf(page, demo.url, 'Fine flake');
  expect(flake.lots).toHaveLength(2);
  await page.goto(`${demo.url}/larder/${flake.id}`);
  await expect(page.getByText(/fridge · sealed · good until Tue 1 Dec · €9.50/)).toBeVisible();
});
