import {
  itemsOf,
  nitrateAgrees,
  servingsAgree,
  sizeAgrees,
  stockAgrees,
  type NamedGroup,
} from './oneFigure';
import { expect, test } from './product';
import { makeRandomHousehold } from './randomHousehold';

test('nitrate now, its peak and what is tolerated', async ({ page, demo }) => {
  const tanks = await itemsOf(page, demo.url, 'tanks');
  for (const tank of tanks.slice(0, 3)) await nitrateAgrees(page, demo.url, tank);
});

test('how many there are, and how long and heavy they are', async ({ page, demo }) => {
  test.slow();
  const groups = await itemsOf<NamedGroup>(page, demo.url, 'groups');
  // The young, which grow, and some of the others.
  const some = groups.filter(({ stage }, at) => at < 5 || /fry|juvenile/.test(stage));
  expect(some.length).toBeGreaterThan(5);
  for (const group of some) await sizeAgrees(page, demo.url, group);
});

test('what is left of a food, and until when', async ({ page, demo }) => {
  test.slow();
  let compared = 0;
  for (const food of await itemsOf(page, demo.url, 'foods')) {
    if (await stockAgrees(page, demo.url, food)) compared += 1;
  }
  expect(compared).toBeGreaterThan(4);
});

test('what is served this evening', async ({ page, demo }) => {
  expect(await servingsAgree(page, demo.url)).toBeGreaterThan(2);
});

/** Households drawn by chance; more of them are looked at before a release. */
const HOUSEHOLDS = Number(process.env.OPEN_LARDER_HOUSEHOLDS ?? 2);
for (let seed = 1; seed <= HOUSEHOLDS; seed += 1) {
  test(`every figure of household ${seed}, drawn by chance`, async ({ page, empty }) => {
    test.slow();
    await makeRandomHousehold(page.request, empty.url, seed);
    const [tank] = await itemsOf(page, empty.url, 'tanks');
    await nitrateAgrees(page, empty.url, tank!);
    const groups = await itemsOf<NamedGroup>(page, empty.url, 'groups');
    for (const group of groups) await sizeAgrees(page, empty.url, group);
    for (const food of await itemsOf(page, empty.url, 'foods')) {
      await stockAgrees(page, empty.url, food);
    }
    await servingsAgree(page, empty.url);
  });
}
