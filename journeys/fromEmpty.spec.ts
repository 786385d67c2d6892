import type { Page } from '@playwright/test';
import { expect, goTo, pick, test } from './product';

/** A setting is saved as it is chosen. */
async function chooseSetting(page: Page, name: string): Promise<void> {
  const saved = page.waitForResponse(
    (answer) => /\/api\/household$/.test(answer.url()) && answer.request().method() === 'PUT',
  );
  await page.getByRole('radio', { name }).click();
  await saved;
}

test('from an empty household to a week of records, kept across a crash', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await expect(page.getByText('No tanks yet')).toBeVisible();

  // 1 a tank
  await page.getByRole('button', { name: 'Say what you have' }).click();
  await page.getByRole('button', { name: /^In long form/ }).click();
  await page.getByRole('button', { name: 'A tank', exact: true }).click();
  await page.getByLabel('Name').fill('Kitchen shelf');
  await page.getByLabel('Inside length, cm').fill('80');
  await page.getByLabel('Inside width, cm').fill('35');
  await page.getByLabel('Inside height, cm').fill('40');
  await page.getByLabel('Water level, cm').fill('36');
  await expect(page.getByText('That is 91 L of water.')).toBeVisible();
  await page.getByLabel('Water temperature, °C').fill('24,5');
  await page.getByLabel('pH').fill('7');
  await page.getByLabel('Lights on').fill('9:00');
  await page.getByLabel('Lights off').fill('21:00');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect(page.getByRole('heading', { name: 'Kitchen shelf' }).first()).toBeVisible();

  // 2 a group
  await page.getByRole('button', { name: 'Add fish' }).click();
  await page.getByRole('button', { name: /^In long form/ }).click();
  await page.getByRole('button', { name: 'A group', exact: true }).click();
  await pick(page, 'Species', 'zebrafish');
  for (let fish = 0; fish < 6; fish += 1) {
    await page.getByRole('button', { name: 'More: Females' }).click();
  }
  await page.getByRole('button', { name: 'More: Males' }).click();
  await page.getByLabel('Mean length, nose to tail tip, cm').fill('3.4');
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(page.getByText('The shelf is empty')).toBeVisible();

  // 3 a food
  await page.getByRole('button', { name: 'Put a food on the shelf' }).click();
  await pick(page, 'Start from a generic food', 'fine flake');
  await page.getByLabel('One weighs, g').fill('0.02');
  await page.getByLabel('Amount, g').fill('25');
  await page.getByLabel('Price of it all, EUR').fill('6.40');
  await page.getByLabel('Best before').fill('2099-01-31');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page).toHaveURL(/\/diet\?food=/);

  // 4 back in the plan that it is for, with its portion and why
  await pick(page, 'Moment', 'After work');
  await page.getByLabel('Place', { exact: true }).fill('front left');
  const portion = page.getByRole('group', { name: 'Serving 1' }).getByText(/pinch/).first();
  await expect(portion).toBeVisible();
  await page
    .getByRole('button', { name: /^Why .*pinch/ })
    .first()
    .click();
  const why = page.getByRole('dialog');
  await expect(why.getByText('Water temperature')).toBeVisible();
  await expect(why.getByText('24.5 °C')).toBeVisible();
  await expect(why.getByText('3.4 cm')).toBeVisible();
  await why.getByRole('button', { name: 'Close' }).last().click();
  await page.getByRole('button', { name: 'Save the diet' }).click();
  await expect(page.getByText('is saved; the Round follows it', { exact: false })).toBeVisible();

  // 5 the round
  await goTo(page, 'Round');
  await page.getByRole('button', { name: /^Served: .* Fine flake/ }).click();
  await expect(page.getByText(/served \d\d:\d\d/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Fine flake/ }).click();
  await page.getByRole('button', { name: /^Less, more, refused or skipped/ }).click();
  await page.getByRole('radio', { name: 'More' }).click();
  await page.getByLabel('Note').fill('begging');
  await page.getByRole('button', { name: 'Log more' }).click();
  await expect(page.getByText(/more \d\d:\d\d · begging/)).toBeVisible();
  await goTo(page, 'Larder');
  await expect(page.getByRole('link', { name: /^Fine flake/ })).toBeVisible();
  // Drawn as done once it is on the device; sent just after.
  await expect(page.getByRole('button', { name: 'All is sent' }).first()).toBeVisible();
  const { items } = await (await page.request.get(`${empty.url}/api/foods`)).json();
  const { items: fed } = await (await page.request.get(`${empty.url}/api/feedings`)).json();
  expect(fed).toHaveLength(1);
  expect(items[0].remainingG).toBeCloseTo(25 - fed[0].massG, 6);
  expect(fed[0].units).toBeGreaterThan(fed[0].plannedUnits);

  // 6 the records
  await goTo(page, 'Records');
  await expect(page.getByText('Zebrafish: offered against needed')).toBeVisible();
  await expect(page.getByRole('table', { name: /Energy by group/ }).first()).toContainText(
    'Kitchen shelf',
  );

  // and everything is there after a crash
  await empty.crashAndRestart();
  await page.reload();
  await expect(page.getByText('Zebrafish: offered against needed')).toBeVisible();
  await goTo(page, 'Round');
  await expect(page.getByText(/begging/)).toBeVisible();
  await goTo(page, 'Tanks');
  await expect(page.getByText('7 zebrafish', { exact: false }).first()).toBeVisible();
  await goTo(page, 'Week');
  await expect(page.getByText('What reaches each group')).toBeVisible();
});

test('what is wrong is said beside the field, and what was typed survives a reload', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/tanks/new`);
  await page.getByLabel('Name').fill('Half typed');
  await page.getByLabel('Water temperature, °C').fill('95');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect(page.getByText('Water temperature in °C must lie between 0 and 40')).toBeVisible();
  await expect(
    page.getByText(/give length, width and height, or the litres/i).first(),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name')).toHaveValue('Half typed');
  await expect(page.getByLabel('Water temperature, °C')).toHaveValue('95');
});

test('units are the keeper’s: the same tank in inches, gallons and Fahrenheit', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/settings`);
  await chooseSetting(page, 'in, gal, oz');
  await chooseSetting(page, '°F');
  await expect(page.getByText('The settings are saved.')).toBeVisible();
  await page.goto(`${empty.url}/tanks/new`);
  await page.getByLabel('Name').fill('Twenty');
  await page.getByRole('radio', { name: 'Litres only' }).click();
  await page.getByLabel('Water, gal').fill('20');
  await page.getByLabel('Water temperature, °F').fill('77');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  const tanksMade = async () =>
    (await (await page.request.get(`${empty.url}/api/tanks`)).json()).items.length;
  await expect.poll(tanksMade).toBe(1);
  await expect(page.getByText('20 gal').first()).toBeVisible();
  const tanks = await (await page.request.get(`${empty.url}/api/tanks`)).json();
  expect(tanks.items[0].litres).toBeCloseTo(75.708, 2);
  expect(tanks.items[0].tempC).toBeCloseTo(25, 6);

  // Whatever the settings, a number may name its own unit; switching back changes nothing stored.
  await page.goto(`${empty.url}/tanks/new`);
  await page.getByLabel('Name').fill('Mixed');
  await page.getByLabel('Inside length, in').fill('60 cm');
  await page.getByLabel('Inside width, in').fill('11 3/4');
  await page.getByLabel('Inside height, in').fill('1 ft');
  await page.getByLabel('Water temperature, °F').fill('24.5C');
  await page.getByLabel('Hardness, dGH').fill('107 ppm');
  await page.getByRole('button', { name: 'Make this tank' }).click();
  await expect.poll(tanksMade).toBe(2);
  await expect(page.getByText('76.1 °F').first()).toBeVisible();
  const before = await (await page.request.get(`${empty.url}/api/tanks`)).json();
  expect(before.items[1]).toMatchObject({ lengthCm: 60, widthCm: 29.845, heightCm: 30.48 });
  await page.goto(`${empty.url}/settings`);
  await chooseSetting(page, 'cm, L, g');
  await chooseSetting(page, '°C');
  await expect(page.getByText('The settings are saved.')).toBeVisible();
  await goTo(page, 'Tanks');
  await expect(page.getByText(/24.5 °C/).first()).toBeVisible();
  expect(await (await page.request.get(`${empty.url}/api/tanks`)).json()).toEqual(before);
});
