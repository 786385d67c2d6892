import type { Locator, Page } from '@playwright/test';
import { atRest } from './atRest';
import { expect, pick, test } from './product';

async function openWeek(page: Page, url: string, tank: string): Promise<void> {
  await page.goto(`${url}/week`);
  await page.getByRole('tab', { name: new RegExp(`^\\d+ ${tank}$`) }).click();
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
}

/** Drag one to the other with the mouse; it is let go once the page says that it is over it. */
async function drag(page: Page, taken: Locator, onto: Locator): Promise<void> {
  await atRest(page);
  const cell = onto.locator('xpath=ancestor-or-self::*[@role="cell"][1]');
  const named = cell.getByRole('button', { name: /^(Change|Add food): / });
  const place = (await named.getAttribute('aria-label'))!.replace(/^[^:]*: /, '');
  const from = (await taken.boundingBox())!;
  const to = (await onto.boundingBox())!;
  // On a page that was busy as the hand went down nothing was taken up: it tries again.
  await expect(async () => {
    await page.mouse.move(from.x + 20, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(from.x + 30, from.y + 20, { steps: 4 });
    await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
    try {
      await expect(page.getByText(`: ${place}.`)).toBeAttached({ timeout: 5000 });
    } finally {
      await page.mouse.up();
    }
  }).toPass({ timeout: 45_000 });
}

const plansOf = async (page: Page, url: string, tank: string) => {
  const read = async (list: string) =>
    (await (await page.request.get(`${url}/api/${list}`)).json()).items;
  const { id } = (await read('tanks')).find((one: { name: string }) => one.name === tank);
  const groups = (await read('groups')).filter((one: { tankId: string }) => one.tankId === id);
  return new Map<string, { momentId: string; days: number[] }[]>(
    groups.map((one: { name: string; diet: { servings: [] } }) => [one.name, one.diet.servings]),
  );
};

// The whole board in sight, so that a serving can be dragged from one end to the other.
test.use({ viewport: { width: 1280, height: 900 } });

test('a serving is dragged to another moment, and moved with the keys alone', async ({
  page,
  demo,
}) => {
  await openWeek(page, demo.url, 'Race');
  const chip = page.getByRole('button', { name: /Frozen cyclops for Glass catfish$/ }).first();
  const target = page.getByRole('button', { name: /^Add food: Midday break, Mon/ });
  await drag(page, chip, target);
  await expect(page.getByRole('button', { name: 'Save the plan' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Change: Midday break, Mon/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Add food: Midday break, Mon/ })).toBeVisible();
  // The same with the keys: M takes it up, an arrow moves it, M sets it down.
  await chip.focus();
  await page.keyboard.press('m');
  // Where it is, as it is read aloud: a hand waits for that too.
  const report = page.getByText(/^Frozen cyclops for Glass catfish: /);
  await expect(report).toBeAttached();
  const at = (await report.textContent())!;
  await page.keyboard.press('ArrowUp');
  await expect(report).not.toHaveText(at);
  await page.keyboard.press('m');
  await expect(page.getByRole('button', { name: /^Change: Midday break, Mon/ })).toBeVisible();
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Race is saved/)).toBeVisible();
  const [servings] = [...(await plansOf(page, demo.url, 'Race')).values()];
  expect(servings!.some(({ days }) => days.length === 1 && days[0] === 1)).toBe(true);
});

test('a serving dragged onto the same food of another day adds up, and can be undone', async ({
  page,
  demo,
}) => {
  await openWeek(page, demo.url, 'Race');
  const chips = page.getByRole('button', { name: /Frozen cyclops for Glass catfish$/ });
  const before = await chips.count();
  await drag(page, chips.nth(0), chips.nth(1));
  await expect(page.getByText(/of frozen cyclops on .* now: both together\./)).toBeVisible();
  await expect(chips).toHaveCount(before - 1);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(chips).toHaveCount(before);
});

test('a food of the shelf is dragged into a cell, for the group that is chosen', async ({
  page,
  demo,
}) => {
  await openWeek(page, demo.url, 'Millpond');
  await page.getByRole('radio', { name: 'Pearl gouramis' }).first().click();
  const food = page.getByRole('button', { name: 'Fine flake, to put in' });
  const target = page.getByRole('button', { name: /^Add food: Midday break, Mon/ });
  // Both in sight, and away from the edge, where a drag scrolls the page.
  await food.hover();
  await page.mouse.wheel(0, -120);
  await expect.poll(async () => (await target.boundingBox())!.y).toBeGreaterThan(120);
  await drag(page, food, target);
  await expect(page.getByRole('button', { name: /^Change: Midday break, Mon/ })).toBeVisible();
  // With the keys it is taken up at the shelf, and laid down where the arrows lead.
  await food.focus();
  await page.keyboard.press('m');
  for (let step = 0; step < 2; step += 1) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('m');
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Millpond is saved/)).toBeVisible();
  const plans = await plansOf(page, demo.url, 'Millpond');
  const once = plans.get('Pearl gouramis')!.filter(({ days }) => days.length === 1);
  expect(once.length).toBeGreaterThanOrEqual(1);
});

test('the plan of a tank is balanced, looked at, taken, saved, and served', async ({
  page,
  demo,
}) => {
  await openWeek(page, demo.url, 'Millpond');
  const share = page.getByRole('link', { name: /^Pearl gouramis: / });
  const before = Number(/: (\d+) %/.exec((await share.getAttribute('aria-label'))!)![1]);
  expect(before).toBeLessThan(80);
  await page.getByRole('button', { name: 'Balance', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Balance', exact: true }).click();
  const take = sheet.getByRole('button', { name: /^Take it/ }).first();
  await expect(take).toBeVisible({ timeout: 60_000 });
  await sheet.getByRole('button', { name: 'What would help most?' }).click();
  await expect(sheet.getByText(/^1\. |Nothing that was tried/)).toBeVisible({ timeout: 60_000 });
  await take.click();
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Millpond is saved/)).toBeVisible();
  await page.goto(`${demo.url}/week`);
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
  const after = Number(/: (\d+) %/.exec((await share.getAttribute('aria-label'))!)![1]);
  expect(after).toBeGreaterThan(before);
});

test('a keeper’s own tank: from an empty shelf to a balanced week', async ({ page, empty }) => {
  const lines = [
    'Cellar,70 x 35 x 30 cm,23.5 C,zebrafish,9,Danios',
    'Cellar,70 x 35 x 30 cm,23.5 C,kuhli loach,6,Loaches',
  ];
  const taken = await page.request.post(`${empty.url}/api/tables/house`, {
    data: { text: ['tank,size,temp,species,number,group', ...lines].join('\n'), write: true },
  });
  expect((await taken.json()).written).toBe(true);
  // Nothing on the shelf: a plan to begin with says so and lays out nothing.
  await page.goto(`${empty.url}/week`);
  await page.getByRole('button', { name: 'A plan to begin with' }).click();
  await expect(
    page.getByText(/put a food on the shelf|Nothing on the shelf fits/).first(),
  ).toBeVisible();
  for (const [name, massG] of [
    ['fine flake', '0.03'],
    ['sinking pellet, small', '0.16'],
  ] as const) {
    await page.goto(`${empty.url}/larder/new`);
    await pick(page, 'Start from a generic food', name);
    await page.getByLabel('One weighs, g').fill(massG);
    await page.getByLabel('Amount, g').fill('80');
    await page.getByLabel('Price of it all, EUR').fill('7');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByText('80 g left', { exact: false })).toBeVisible();
  }
  await page.goto(`${empty.url}/week`);
  await page.getByRole('button', { name: 'A plan to begin with' }).click();
  await page.getByRole('button', { name: 'Lay it out', exact: true }).click();
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Cellar is saved/)).toBeVisible();
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Balance', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Balance', exact: true }).click();
  const better = sheet.getByRole('button', { name: /^Take it/ }).first();
  await expect(better).toBeVisible({ timeout: 60_000 });
  await better.click();
  // What reaches each of them is near the need.
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
  for (const group of ['Danios', 'Loaches']) {
    const said = await page.getByRole('link', { name: `${group}: ` }).getAttribute('aria-label');
    const share = Number(/: (\d+) %/.exec(said!)![1]);
    expect(share).toBeGreaterThanOrEqual(80);
    expect(share).toBeLessThanOrEqual(125);
  }
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Cellar is saved/)).toBeVisible();
  await page.getByRole('button', { name: 'Dry run' }).click();
  await page.getByRole('button', { name: 'Run it' }).click();
  await expect(page.getByText('What runs out')).toBeVisible();
  await expect(page.getByText(/^Nitrate (stays|passes)/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Cancel' })).toBeHidden();
  await page.goto(`${empty.url}/week/house`);
  await page.getByRole('button', { name: /^All of Thu/ }).click();
  await expect(page.getByText(/for (danios|loaches)/).first()).toBeVisible();
});

test('a house of over forty tanks is balanced by the server, and stops when it is told to', async ({
  page,
  demo,
}) => {
  const more = Array.from({ length: 40 }, (_, at) => `Shelf ${at + 1},54 L,24 C`);
  const taken = await page.request.post(`${demo.url}/api/tables/tanks`, {
    data: { text: ['name,litres,temp', ...more].join('\n'), write: true },
  });
  expect((await taken.json()).written).toBe(true);
  await page.goto(`${demo.url}/week`);
  await page.getByRole('button', { name: /^Tank: / }).click();
  await page.getByLabel('Search').fill('tarn');
  await page.getByRole('link', { name: /^\d+ Tarn$/ }).click();
  await expect(page.getByText(/Simulated\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Balance', exact: true }).click();
  const sheet = page.getByRole('dialog');
  const start = sheet.getByRole('button', { name: 'Balance', exact: true });
  const asked = page.waitForRequest((request) => request.url().endsWith('/balance'));
  const failed = page.waitForEvent('requestfailed');
  await start.click();
  await asked;
  await expect(sheet.getByText(/^(Looking at the plan|Trying changes)/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  expect((await failed).url()).toMatch(/balance$/);
  // Ended there too: there is room for it at once.
  await start.click();
  await expect(sheet.getByRole('button', { name: /^Take it/ }).first()).toBeVisible({
    timeout: 60_000,
  });
});

test('a solver that does not load is said, and the plan stays as it is', async ({ page, demo }) => {
  await page.route('**/highs.wasm', (route) => route.abort());
  await openWeek(page, demo.url, 'Race');
  await page.getByRole('button', { name: 'Balance', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'What would help most?' }).click();
  await expect(sheet.getByText(/The solver could not be loaded/)).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Saved' })).toBeDisabled();
});

test('two people at one plan: the second is told, and keeps what is theirs', async ({
  page,
  demo,
  browser,
}) => {
  const other = await browser.newPage({ viewport: { width: 1280, height: 900 } });
  for (const one of [page, other]) {
    await openWeek(one, demo.url, 'Alder');
    await one.getByRole('button', { name: 'More', exact: true }).click();
    await one.getByRole('button', { name: 'Copy a day' }).click();
    await one.getByRole('checkbox', { name: one === page ? 'Tuesday' : 'Thursday' }).click();
    await one.getByRole('button', { name: 'Copy', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Save the plan' }).click();
  await expect(page.getByText(/The plan of Alder is saved/)).toBeVisible();
  await other.getByRole('button', { name: 'Save the plan' }).click();
  await expect(other.getByRole('alert').getByText('Keep mine')).toBeVisible();
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expect(other.getByText(/The plan of Alder is saved/)).toBeVisible();
  await other.close();
});

test('the house’s week, eight weeks ahead, and a page for the wall', async ({ page, demo }) => {
  await openWeek(page, demo.url, 'Tarn');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Print' }).click();
  expect((await download).suggestedFilename()).toBe('week-tarn-2026-03-11.pdf');
  await page.getByRole('button', { name: 'Whole house' }).click();
  await expect(page.getByRole('table', { name: /Minutes of work/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To prepare' })).toBeVisible();
  await page
    .getByRole('cell', { name: /After work: \d+ minutes/ })
    .first()
    .click();
  await page.goto(`${demo.url}/week/dry-run`);
  await page.getByRole('button', { name: 'Run it' }).click();
  await expect(page.getByText('What runs out')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^Nitrate (stays|passes)/)).toBeVisible();
  // Nothing may hold the main thread for longer than a blink while all that is computed.
  const longest = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        let max = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) max = Math.max(max, entry.duration);
        }).observe({ type: 'longtask', buffered: true });
        setTimeout(() => resolve(max), 200);
      }),
  );
  test.info().annotations.push({ type: 'longest task', description: `${Math.round(longest)} ms` });
});
