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
