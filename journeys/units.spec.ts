import type { Page } from '@playwright/test';
import { expect, test } from './product';

/** A figure in metric units. Grams and mg/L are the hobby's own; pieces and larvae are told in mm everywhere. */
const METRIC = /\d\s?(L|litres?|cm|°C|g\/L|dm²)(?![\w/])/g;
/** What a keeper or an author wrote is left as it was written: recipes, sources, kinds of culture. */
const AS_WRITTEN = /Bloom the gelatine|FishBase|FAO|for what it is|vol\./;

const VIEWS = [
  '/round',
  '/tanks',
  '/tanks/new',
  '/week',
  '/week/house',
  '/week/dry-run',
  '/larder',
  '/larder/new',
  '/larder/live',
  '/larder/live/supply',
  '/larder/recipes/new',
  '/records',
  '/records?tab=account',
  '/records?tab=served',
  '/records?tab=trials',
  '/records?tab=decided',
  '/records?tab=right',
  '/broods',
  '/broods/new',
  '/broods/condition',
  '/fish',
  '/species',
  '/species/pangio-kuhlii',
  '/settings',
];

/** What is on the page and what a screen reader says of it, line by line. */
const linesOf = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [
      document.body.innerText,
      ...[...document.querySelectorAll('[aria-label],[placeholder]')].map(
        (one) => one.getAttribute('aria-label') ?? one.getAttribute('placeholder') ?? '',
      ),
    ]
      .join('\n')
      .split('\n'),
  );

test('a household on US units reads no litre, centimetre or degree Celsius', async ({
  page,
  demo,
}) => {
  test.slow();
  const read = async (path: string) => (await page.request.get(demo.url + path)).json();
  const household = await read('/api/household');
  const chosen = { ...household, units: 'us', temperature: 'F' };
  expect((await page.request.put(`${demo.url}/api/household`, { data: chosen })).status()).toBe(
    200,
  );
  const idsOf = async (path: string): Promise<string[]> =>
    (await read(path)).items.map(({ id }: { id: string }) => id);
  const [tanks, groups, vessels, broods, foods] = await Promise.all(
    ['tanks', 'groups', 'vessels', 'broods', 'foods'].map((noun) => idsOf(`/api/${noun}`)),
  );
  const views = [
    ...VIEWS,
    ...tanks!
      .slice(0, 3)
      .flatMap((id) => [`/tanks/${id}`, `/tanks/${id}/water`, `/tanks/${id}/play`]),
    ...groups!.slice(0, 4).flatMap((id) => [`/groups/${id}`, `/groups/${id}/growth`]),
    ...vessels!.slice(0, 3).map((id) => `/larder/live/${id}`),
    ...broods!.map((id) => `/broods/${id}`),
    ...foods!.slice(0, 3).map((id) => `/larder/${id}`),
  ];
  const metric: string[] = [];
  for (const view of views) {
    await page.goto(demo.url + view);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByLabel('Loading')).toHaveCount(0);
    for (const line of await linesOf(page)) {
      if (METRIC.test(line) && !AS_WRITTEN.test(line))
        metric.push(`${view}: ${line.slice(0, 140)}`);
      METRIC.lastIndex = 0;
    }
  }
  expect([...new Set(metric)]).toEqual([]);
});
