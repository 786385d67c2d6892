import { chromium, type Page } from '@playwright/test';

/**
 * How soon a second screen of the house shows what was served on the first: from the tap to the frame in
 * which the serving is no longer there to be served.
 */
const TAPS = 20;
const PHONE = { width: 390, height: 844 };
const LIMIT = 'p95 under 500 ms';

async function screenAt(url: string, from: Awaited<ReturnType<typeof chromium.launch>>) {
  const context = await from.newContext({ viewport: PHONE, locale: 'en-GB' });
  const page = await context.newPage();
  await page.goto(`${url}/round`);
  await nextOf(page).waitFor();
  await page.waitForLoadState('networkidle').catch(() => undefined);
  return page;
}

const nextOf = (page: Page) => page.getByRole('button', { name: /^Served: / }).first();

/** Instant at which no button of that name is shown any more. */
const goneAt = (page: Page, name: string): Promise<number> =>
  page.evaluate(`new Promise((gone) => {
    const look = () =>
      [...document.querySelectorAll('[aria-label]')].some(
        (one) => one.getAttribute('aria-label') === ${JSON.stringify(name)},
      )
        ? requestAnimationFrame(look)
        : gone(Date.now());
    look();
  })`);

/** Instant of the next tap. */
const tappedAt = (page: Page): Promise<number> =>
  page.evaluate(`new Promise((at) =>
    addEventListener('click', () => at(Date.now()), { capture: true, once: true }),
  )`);

async function main(): Promise<void> {
  const url = process.env.OPEN_LARDER_URL ?? '';
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const [first, second] = [await screenAt(url, browser), await screenAt(url, browser)];
  const times: number[] = [];
  for (let tap = 0; tap < TAPS; tap += 1) {
    const name = await nextOf(first)
      .getAttribute('aria-label', { timeout: 5000 })
      .catch(() => null);
    // All of the day is served.
    if (name === null) break;
    const seen = goneAt(second, name);
    const tapped = tappedAt(first);
    await first.getByRole('button', { name, exact: true }).first().click();
    times.push((await seen) - (await tapped));
    await goneAt(first, name);
  }
  await browser.close();
  times.sort((a, b) => a - b);
  const at = (share: number) => `${Math.round(times[Math.ceil(share * times.length) - 1]!)} ms`;
  process.stdout.write(
    `| ${'a serving on a second screen, from the tap: p95, p50'.padEnd(52)} | ${at(0.95).padStart(12)} | ` +
      `${at(0.5).padStart(12)} |        | ${LIMIT} |\n`,
  );
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
