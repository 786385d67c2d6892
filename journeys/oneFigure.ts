import type { Page } from '@playwright/test';
import { expect } from './product';

/**
 * One fact is one figure on every screen that shows it. Each is read as a keeper reads it: by the
 * words beside it.
 */

export interface Named {
  id: string;
  name: string;
}
export interface NamedGroup extends Named {
  tankId: string;
  stage: string;
}

export const itemsOf = async <T extends Named>(page: Page, url: string, of: string): Promise<T[]> =>
  (await (await page.request.get(`${url}/api/${of}`)).json()).items;

async function textOf(page: Page, url: string): Promise<string> {
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByLabel('Loading')).toHaveCount(0);
  // Some figures of a screen come after its rows.
  await page.waitForLoadState('networkidle');
  return page.locator('body').innerText();
}

/** What a screen says, once it says it: some of it is worked out in the background. */
async function shown(page: Page, pattern: RegExp): Promise<string> {
  const read = async () => pattern.exec(await page.locator('body').innerText())?.[1] ?? '';
  await expect.poll(read, { message: `the screen says ${pattern}` }).not.toBe('');
  return read();
}

const literal = (words: string) => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Nitrate now on Water and «Who gets it»; its peak on Water and in what is proposed. */
export async function nitrateAgrees(page: Page, url: string, { id, name }: Named): Promise<void> {
  await page.goto(`${url}/tanks/${id}/water`);
  const now = await shown(page, /Nitrate about ([\d.]+) mg\/L/);
  const peak = await shown(page, /it peaks at about ([\d.]+) mg\/L/);
  await page.goto(`${url}/tanks/${id}/play`);
  const inPlay = await shown(page, /Nitrate here is about ([\d.]+) mg\/L/);
  expect(inPlay, `${name}, now`).toBe(now);
  await textOf(page, `${url}/round`);
  const folded = page.getByRole('button', { name: /^(\d+ proposals|A proposal)/, expanded: false });
  if ((await folded.count()) > 0) await folded.click();
  const round = await page.locator('body').innerText();
  const proposed = new RegExp(`${literal(name)}: [^]*?Nitrate peaks at ([\\d.]+) →`).exec(round);
  if (proposed) expect(proposed[1], `${name}, peak`).toBe(peak);
}

/** How many a group are, how long and heavy: on All fish, its own page, its tank's and its growth. */
export async function sizeAgrees(page: Page, url: string, group: NamedGroup): Promise<void> {
  const { id, name, tankId, stage } = group;
  const all = await textOf(page, `${url}/fish`);
  const [, row] = new RegExp(`\\n${literal(name)}\\n([^\\n]*)`).exec(all)!;
  const [count, length] = [/(\d+) fish/, /([\d.]+ (?:cm|mm))/].map((one) => one.exec(row!)![1]);
  await page.goto(`${url}/groups/${id}`);
  expect(await shown(page, /Mean length\n[^\n]*\n([\d.]+ (?:cm|mm))/), name).toBe(length);
  expect(await shown(page, /\nFish\n(\d+) fish/), name).toBe(count);
  const mass = await shown(page, /Mass of one\n[^\n]*\n([\d.]+ m?g)/);
  const tank = await textOf(page, `${url}/tanks/${tankId}`);
  expect(new RegExp(`\\n${literal(name)}\\n(\\d+) fish`).exec(tank)![1], name).toBe(count);
  await page.goto(`${url}/groups/${id}/growth`);
  const weighs = await shown(page, /One weighs about ([\d.]+ m?g)/);
  const measured = await shown(page, /\n([\d.]+ (?:cm|mm))[^\n]*\n\d+ of them/);
  // Young that grew since they were measured weigh more by now.
  const grams = (said: string) => parseFloat(said) / (said.endsWith('mg') ? 1000 : 1);
  if (/fry|juvenile/.test(stage)) expect(grams(mass), name).toBeGreaterThanOrEqual(grams(weighs));
  else expect([weighs, measured], name).toEqual([mass, length]);
}

/**
 * For how many days a food lasts, and until when: on the shelf, on its own page and on the order.
 * @returns whether it is on a shelf with its days
 */
export async function stockAgrees(page: Page, url: string, { id, name }: Named): Promise<boolean> {
  const larder = await textOf(page, `${url}/larder`);
  const row = new RegExp(`\\n${literal(name)}\\n(\\d+) days?\\n`).exec(larder);
  if (!row) return false;
  await page.goto(`${url}/larder/${id}`);
  expect(await shown(page, /left, (\d+) day/), name).toBe(row[1]);
  const runsOut = await shown(page, /Runs out (?:around )?([^;.]+)[;.]/);
  const order = new RegExp(`\\n${literal(name)}\\n[^\\n]*runs out on ([^,\\n]+)`).exec(larder);
  if (order && runsOut !== 'today') expect(order[1], name).toBe(runsOut);
  return true;
}

/**
 * What a group is served: on the Round, in its diet, and in its tank's week.
 * @returns how many servings were compared
 */
export async function servingsAgree(page: Page, url: string): Promise<number> {
  const groups = await itemsOf<NamedGroup>(page, url, 'groups');
  await textOf(page, `${url}/round`);
  // All tanks unfolded: what each gets stands there with its group.
  const folded = page.getByRole('button', { name: /: \d+ to serve$/, expanded: false });
  for (let left = await folded.count(); left > 0; left -= 1) await folded.first().click();
  const round = await page.locator('body').innerText();
  const servings = [...round.matchAll(/\n((?:\d+|[½¼¾]|\d+[½¼¾]) [^\n]+)\n([^\n·]+) · [^\n]+\n/g)];
  let compared = 0;
  for (const [, what, who] of servings) {
    const group = groups.find(({ name }) => name === who!.trim());
    // What is proposed for a group stands there, too.
    if (!group || / proposals$/.test(what!)) continue;
    await page.goto(`${url}/groups/${group.id}`);
    await expect(page.locator('body'), `${who}’s diet`).toContainText(what!);
    const [, units] = /^([\d½¼¾]+ \S+)/.exec(what!)!;
    await page.goto(`${url}/week?tank=${group.tankId}`);
    await expect(page.locator('body'), `${who}’s week`).toContainText(units!);
    compared += 1;
  }
  return compared;
}
