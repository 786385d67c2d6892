import type { Page } from '@playwright/test';
import { expect, test } from './product';

/**
 * One fact is one figure on every screen that shows it. Each is read as a keeper reads it: by the
 * words beside it.
 */

const textOf = async (page: Page, url: string): Promise<string> => {
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByLabel('Loading')).toHaveCount(0);
  return page.locator('body').innerText();
};

/** What a screen says, once it says it: some of it is worked out in the background. */
async function shown(page: Page, pattern: RegExp): Promise<string> {
  const read = async () => pattern.exec(await page.locator('body').innerText())?.[1] ?? '';
  await expect.poll(read, { message: `the screen says ${pattern}` }).not.toBe('');
  return read();
}

const literal = (words: string) => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

test('nitrate now, its peak and what is tolerated', async ({ page, demo }) => {
  const { items: tanks } = await (await page.request.get(`${demo.url}/api/tanks`)).json();
  for (const { id, name } of tanks.slice(0, 3)) {
    const water = `${demo.url}/tanks/${id}/water`;
    await page.goto(water);
    const now = await shown(page, /Nitrate about ([\d.]+) mg\/L/);
    const peak = await shown(page, /it peaks at about ([\d.]+) mg\/L/);
    await page.goto(`${demo.url}/tanks/${id}/play`);
    const inPlay = await shown(page, /Nitrate here is about ([\d.]+) mg\/L/);
    expect(inPlay, `${name}, now`).toBe(now);
    const round = await textOf(page, `${demo.url}/round`);
    const proposed = new RegExp(`${literal(name)}: [^]*?Nitrate peaks at ([\\d.]+) →`).exec(round);
    if (proposed) expect(proposed[1], `${name}, peak`).toBe(peak);
  }
});

test('how many there are, and how long and heavy they are', async ({ page, demo }) => {
  test.slow();
  const { items: groups } = await (await page.request.get(`${demo.url}/api/groups`)).json();
  const all = await textOf(page, `${demo.url}/fish`);
  // The young, which grow, and some of the others.
  const some = groups.filter(
    ({ stage }: { stage: string }, at: number) => at < 5 || /fry|juvenile/.test(stage),
  );
  expect(some.length).toBeGreaterThan(5);
  for (const { id, name, tankId } of some) {
    const [, row] = new RegExp(`\\n${literal(name)}\\n([^\\n]*)`).exec(all)!;
    const [count, length] = [/(\d+) fish/, /([\d.]+ (?:cm|mm))/].map((one) => one.exec(row!)![1]);
    await page.goto(`${demo.url}/groups/${id}`);
    expect(await shown(page, /Mean length\n[^\n]*\n([\d.]+ (?:cm|mm))/), name).toBe(length);
    expect(await shown(page, /\nFish\n(\d+) fish/), name).toBe(count);
    const group = await page.locator('body').innerText();
    const mass = await shown(page, /Mass of one\n[^\n]*\n([\d.]+ m?g)/);
    const tank = await textOf(page, `${demo.url}/tanks/${tankId}`);
    expect(new RegExp(`\\n${literal(name)}\\n(\\d+) fish`).exec(tank)![1], name).toBe(count);
    await page.goto(`${demo.url}/groups/${id}/growth`);
    const weighs = await shown(page, /One weighs about ([\d.]+ m?g)/);
    const measured = await shown(page, /\n([\d.]+ (?:cm|mm))[^\n]*\n\d+ of them/);
    // Young that grew since they were measured weigh more by now.
    const grams = (said: string) => parseFloat(said) / (said.endsWith('mg') ? 1000 : 1);
    if (/Stage\n(?:fry|juvenile)/.test(group)) {
      expect(grams(mass), name).toBeGreaterThanOrEqual(grams(weighs));
    } else expect([weighs, measured], name).toEqual([mass, length]);
  }
});

test('what is left of a food, and until when', async ({ page, demo }) => {
  test.slow();
  const larder = await textOf(page, `${demo.url}/larder`);
  const { items: foods } = await (await page.request.get(`${demo.url}/api/foods`)).json();
  let compared = 0;
  for (const { id, name } of foods) {
    const row = new RegExp(`\\n${literal(name)}\\n(\\d+) days?\\n`).exec(larder);
    if (!row) continue;
    await page.goto(`${demo.url}/larder/${id}`);
    expect(await shown(page, /left, (\d+) day/), name).toBe(row[1]);
    const runsOut = await shown(page, /Runs out around ([^;.]+)[;.]/);
    const order = new RegExp(`\\n${literal(name)}\\n[^\\n]*runs out on ([^,\\n]+)`).exec(larder);
    if (order) expect(order[1], name).toBe(runsOut);
    compared += 1;
  }
  expect(compared).toBeGreaterThan(4);
});

test('what is served this evening', async ({ page, demo }) => {
  const round = await textOf(page, `${demo.url}/round`);
  const { items: tanks } = await (await page.request.get(`${demo.url}/api/tanks`)).json();
  const { items: groups } = await (await page.request.get(`${demo.url}/api/groups`)).json();
  const servings = [...round.matchAll(/\n((?:\d+|[½¼¾]|\d+[½¼¾]) [^\n]+)\n([^\n·]+) · [^\n]+\n/g)];
  expect(servings.length).toBeGreaterThan(2);
  for (const [, what, who] of servings) {
    const group = groups.find(({ name }: { name: string }) => name === who!.trim());
    if (!group) continue;
    await page.goto(`${demo.url}/groups/${group.id}`);
    await expect(page.locator('body'), `${who}’s diet`).toContainText(what!);
    const tank = tanks.find(({ id }: { id: string }) => id === group.tankId);
    const [, units] = /^([\d½¼¾]+ \S+)/.exec(what!)!;
    await page.goto(`${demo.url}/week?tank=${tank.id}`);
    await expect(page.locator('body'), `${who}’s week`).toContainText(units!);
  }
});
