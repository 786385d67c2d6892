import { expect, test } from './product';

const LINES = `90 l, 25°, planted, lights 14–22
24 harlequins 3 cm, 8 panda corys, pair of dwarf gouramis, 20 amano shrimp
flake, frozen bloodworm, algae wafers, live daphnia`;

test('from nothing to a Round in a few taps', async ({ page, empty }, info) => {
  let taps = 0;
  const tap = async (name: string | RegExp) => {
    taps += 1;
    await page.getByRole('button', { name }).first().click();
  };
  await page.goto(empty.url);
  await expect(page.getByText('No tanks yet')).toBeVisible();
  const began = Date.now();
  await tap('Say what you have');
  taps += 1;
  await page.getByLabel(/^Type, paste or dictate/).fill(LINES);
  await expect(page.getByRole('button', { name: /^90 L tank, 25 °C/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^24 Harlequin rasbora, 3 cm/ })).toBeVisible();
  await tap('Show the first day');
  await expect(page.getByRole('heading', { name: 'Your first day' })).toBeVisible();
  await expect(page.getByText('Why this plan')).toBeVisible();
  await expect(page.getByText(/Panda corydoras get part of theirs after lights-out/)).toBeVisible();
  await expect(
    page.getByText('Usual lengths for these species; portions follow from them'),
  ).toBeVisible();
  await tap('Open the Round');
  await expect(page.getByRole('button', { name: /^Served: / }).first()).toBeVisible();
  const seconds = (Date.now() - began) / 1000;
  info.annotations.push({
    type: 'from nothing to a Round',
    description: `${taps} taps, ${seconds.toFixed(1)} s`,
  });
  expect(taps).toBeLessThanOrEqual(12);
  // What was planned today was not late this morning.
  await expect(page.getByText(/ late/)).toHaveCount(0);

  // the same box adds a group to it later, and keeps what was planned
  await page.goto(`${empty.url}/tanks`);
  await page.getByRole('link', { name: /^90 L tank/ }).click();
  await page.getByRole('button', { name: 'Add fish' }).click();
  await expect(page.getByRole('heading', { name: 'What is new in 90 L tank?' })).toBeVisible();
  await page.getByLabel(/^Type, paste or dictate/).fill('6 kuhli loaches, blorp');
  await expect(page.getByText('Not understood. Tap to say what it is.')).toBeVisible();
  await page.getByRole('button', { name: /^«blorp»/ }).click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await page.getByRole('button', { name: 'Show the first day' }).click();
  await expect(page.getByRole('heading', { name: 'Your first day' })).toBeVisible();
  const { items: groups } = await (await page.request.get(`${empty.url}/api/groups`)).json();
  expect(
    (groups as { name: string; diet: unknown }[])
      .map(({ name, diet }) => [name, diet !== null])
      .sort(),
  ).toEqual([
    ['Amano shrimp', true],
    ['Dwarf gourami', true],
    ['Harlequin rasbora', true],
    ['Kuhli loach', true],
    ['Panda corydoras', true],
  ]);
});
