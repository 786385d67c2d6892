import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { expect, test } from './product';

const DAY = '2026-03-10';
/** Everything that can be opened without an id. */
const PLACES = [
  '/round',
  '/tanks',
  '/fish',
  '/week',
  '/week/house',
  '/larder',
  '/larder/live',
  '/larder/recipes',
  '/larder/compare',
  '/broods',
  '/records',
  '/records/compare',
  '/species',
  '/tables',
  '/settings',
];

test('what every form accepts at its limits can be opened everywhere', async ({ page, empty }) => {
  test.setTimeout(600_000);
  const stored = execFileSync(
    process.execPath,
    [
      '--import',
      'tsx',
      join(__dirname, '..', 'server', 'src', 'testing', 'fillExtremes.ts'),
      empty.url,
      DAY,
    ],
    { cwd: join(__dirname, '..') },
  );
  expect(Number(stored)).toBeGreaterThan(300);
  const broken: string[] = [];
  page.on('pageerror', (error) => broken.push(`${page.url()}: ${error.message}`));
  const ids = async (list: string): Promise<string[]> => {
    const { items } = await (await page.request.get(`${empty.url}/api/${list}?limit=1000`)).json();
    return items.map(({ id }: { id: string }) => id);
  };
  const [tanks, groups, foods] = [await ids('tanks'), await ids('groups'), await ids('foods')];
  const one = [
    ...tanks.slice(-2).flatMap((id) => [`/tanks/${id}`, `/tanks/${id}/water`]),
    ...groups.slice(-2).flatMap((id) => [`/groups/${id}`, `/groups/${id}/diet`]),
    ...foods.slice(-2).map((id) => `/larder/${id}`),
  ];
  for (const place of [...PLACES, ...one]) {
    await page.goto(empty.url + place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('This part cannot be shown')).toHaveCount(0);
    await expect(page.getByRole('alert')).toHaveCount(0);
  }
  expect(broken).toEqual([]);
});
