import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { atRest } from './atRest';
import { openStop } from './product';

/** One current picture of each main view, from the demo data. */
interface Shot {
  name: string;
  path: string;
  wide?: boolean;
  lamp?: boolean;
  before?: (page: Page) => Promise<void>;
}

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

const url = process.env.OPEN_LARDER_URL ?? 'http://localhost:4310';
const folder = join(__dirname, '..', 'docs', 'screenshots');

async function idOf(page: Page, list: string, name: string): Promise<string> {
  const { items } = (await (await page.request.get(`${url}/api/${list}`)).json()) as {
    items: { id: string; name: string }[];
  };
  const found = items.find((item) => item.name === name);
  if (!found) throw new Error(`the demo has no ${name} among its ${list}`);
  return found.id;
}

async function main(): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const finder = await browser.newPage();
  const tarn = await idOf(finder, 'tanks', 'Tarn');
  const loaches = await idOf(finder, 'groups', 'Kuhli loaches');
  const brood = await idOf(finder, 'broods', 'Steel-blues of the mop');
  const millpond = await idOf(finder, 'tanks', 'Millpond');
  const young = await idOf(finder, 'groups', 'Young threadfins');
  const evening = async (page: Page) => {
    await page.getByRole('tab', { name: /After work/ }).click();
  };
  const look = async (page: Page) => {
    await evening(page);
    await openStop(page, 'Tarn');
    await page.getByRole('button', { name: 'Look at the fish of Tarn' }).click();
    await page.getByRole('radio', { name: 'flat: Kuhli loaches' }).click();
  };
  /** Draw along the bar until the time that is said there is reached. */
  const until = (seconds: number) => async (page: Page) => {
    const time = page.getByRole('slider', { name: 'Time in the feeding' });
    await page
      .getByText(/in the end, likely/)
      .first()
      .waitFor();
    await time.focus();
    await page.keyboard.press('Home');
    for (let key = 0; key < 400; key += 1) {
      const said = (await time.getAttribute('aria-valuetext')) ?? '';
      const [, count, unit] = /, ([\d.]+) (s|min|h) in$/.exec(said) ?? [];
      if (Number(count) * { s: 1, min: 60, h: 3600 }[unit as 's'] >= seconds) break;
      await page.keyboard.press('ArrowRight');
    }
  };
  const simulated = async (page: Page) => {
    await page.getByText(/Simulated\.$/).waitFor();
  };
  const lines = async (page: Page) => {
    await page
      .getByLabel(/^Type, paste or dictate/)
      .fill(
        'Weir pool: 54 l, 24°, planted\n12 zebra danios 3 cm, 6 panda corys\nflake, frozen bloodworm',
      );
    await page.getByRole('button', { name: /^12 Zebra/ }).waitFor();
  };
  const ladder = async (page: Page) => {
    await page.getByText('The ladder', { exact: true }).scrollIntoViewIfNeeded();
    await page.mouse.move(200, 500);
    await page.mouse.wheel(0, 230);
    await page.waitForTimeout(200);
  };
  const shots: Shot[] = [
    { name: 'begin', path: '/begin', before: lines },
    { name: 'watch-wide', path: '/watch', wide: true },
    { name: 'round', path: '/round', before: evening },
    { name: 'round-lamp', path: '/round', lamp: true, before: look },
    { name: 'tanks', path: '/tanks' },
    { name: 'tank-wide', path: `/tanks/${tarn}`, wide: true },
    {
      name: 'feeding-day-wide',
      path: `/tanks/${tarn}/play?moment=day`,
      wide: true,
      before: until(11 * 3600),
    },
    { name: 'group', path: `/groups/${loaches}` },
    { name: 'week', path: `/week?tank=${tarn}`, before: simulated },
    { name: 'week-wide', path: `/week?tank=${tarn}`, wide: true, before: simulated },
    { name: 'live-wide', path: '/larder/live', wide: true },
    { name: 'larder', path: '/larder' },
    { name: 'brood', path: `/broods/${brood}`, before: ladder },
    { name: 'broods-wide', path: '/broods', wide: true },
    { name: 'water-wide', path: `/tanks/${millpond}/water`, wide: true },
    { name: 'growth', path: `/groups/${young}/growth` },
    { name: 'records', path: '/records' },
    { name: 'account', path: '/records?tab=account' },
    { name: 'how-right', path: '/records?tab=right' },
  ];
  for (const shot of shots) {
    const page = await browser.newPage({
      viewport: shot.wide ? WIDE : PHONE,
      locale: 'en-GB',
      timezoneId: 'UTC',
    });
    await page.clock.setFixedTime(process.env.OPEN_LARDER_CLOCK ?? new Date());
    await page.addInitScript(
      (theme) => {
        localStorage.setItem('open-larder.display', JSON.stringify({ theme }));
      },
      shot.lamp ? 'lamp' : 'lit',
    );
    await page.goto(url + shot.path);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.getByLabel('Loading').first().waitFor({ state: 'detached' });
    await shot.before?.(page);
    await atRest(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${shot.name}.png`), animations: 'disabled' });
    process.stdout.write(`  ${shot.name}.png\n`);
    await page.close();
  }
  await browser.close();
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
