import { chromium, type Page } from '@playwright/test';

/**
 * How long it takes until what is served on one screen is seen on another: from the tap to the frame in
 * which the second screen no longer offers it.
 */
const SERVINGS = 40;
const PHONE = { width: 390, height: 844 };
const LIMIT = 'under 500 ms';

type Watching = { gone?: Record<string, number> };

/** Note when each serving that is offered is no longer. */
const WATCH = `
  window.gone = {};
  let before = new Set();
  const look = () => {
    const now = new Set(
      [...document.querySelectorAll('[aria-label^="Served: "]')].map((one) => one.getAttribute('aria-label')),
    );
    for (const name of before) if (!now.has(name)) window.gone[name] ??= Date.now();
    before = now;
    requestAnimationFrame(look);
  };
  look();
`;

const offered = (page: Page) => page.getByRole('button', { name: /^Served: / }).first();

async function main(): Promise<void> {
  const url = process.env.OPEN_LARDER_URL ?? '';
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const open = async () => {
    const context = await browser.newContext({ viewport: PHONE, locale: 'en-GB' });
    const page = await context.newPage();
    await page.goto(`${url}/round`);
    await offered(page).waitFor();
    await page.waitForLoadState('load');
    return page;
  };
  const [one, other] = [await open(), await open()];
  await other.evaluate(WATCH);
  const took: number[] = [];
  for (let at = 0; at < SERVINGS && (await offered(one).count()) > 0; at += 1) {
    const name = (await offered(one).getAttribute('aria-label'))!;
    const tapped = await offered(one).evaluate((button: HTMLElement) => {
      const now = Date.now();
      button.click();
      return now;
    });
    const seen = await other.waitForFunction((label) => (window as Watching).gone?.[label], name, {
      timeout: 30_000,
    });
    took.push(((await seen.jsonValue()) as number) - tapped);
  }
  await browser.close();
  took.sort((a, b) => a - b);
  const [half, p95] = [took[Math.floor(took.length / 2)]!, took[Math.floor(took.length * 0.95)]!];
  process.stdout.write(
    `| ${`p95 of ${took.length} servings seen on a second screen, median`.padEnd(52)} | ${`${p95} ms`.padStart(12)} | ` +
      `${`${half} ms`.padStart(12)} | ${(p95 / half).toFixed(2).padStart(6)} | ${LIMIT} |\n`,
  );
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
