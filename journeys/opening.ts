import { chromium, type Browser } from '@playwright/test';

/**
 * How long a keeper waits for the first serving on a phone: from the cache, on a processor four times
 * slower; and for the first time, on a slow mobile network. Measured in the page, from the request for it
 * to the frame that shows a serving.
 */
const RUNS = 5;
const SLOWER = 4;
/** A slow mobile network: ms there and back, bytes a second down and up. */
const SLOW_4G = { offline: false, latency: 150, downloadThroughput: 2e5, uploadThroughput: 93_750 };
const PHONE = { width: 390, height: 844 };

interface Opening {
  title: string;
  limit: string;
  cached: boolean;
  slowNetwork: boolean;
  slower: number;
}

const OPENINGS: readonly Opening[] = [
  { title: 'from cache', limit: 'at most 1.2 s', cached: true, slowNetwork: false, slower: SLOWER },
  { title: 'cold, slow 4G', limit: 'at most 5 s', cached: false, slowNetwork: true, slower: 1 },
  {
    title: 'cold, slow 4G and processor',
    limit: 'at most 5 s',
    cached: false,
    slowNetwork: true,
    slower: SLOWER,
  },
];

const WATCH = `
  const look = () => {
    const shown = [...document.querySelectorAll('[aria-label]')].some((one) =>
      /^(Served|Undo)\\b/.test(one.getAttribute('aria-label')),
    );
    requestAnimationFrame(shown ? () => { window.firstServing ??= performance.now(); } : look);
  };
  requestAnimationFrame(look);
`;

async function openOnce(browser: Browser, url: string, how: Opening): Promise<number> {
  const context = await browser.newContext({ viewport: PHONE, locale: 'en-GB' });
  const page = await context.newPage();
  const shown = () =>
    page.waitForFunction(() => (window as { firstServing?: number }).firstServing, null, {
      timeout: 120_000,
    });
  await page.addInitScript(WATCH);
  // Once is read from the network, once more from the cache: the browser keeps what it compiled then.
  for (let before = 0; how.cached && before < 3; before += 1) {
    await page.goto(url);
    await shown();
    await page.waitForLoadState('networkidle');
  }
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: how.slower });
  if (how.slowNetwork) await session.send('Network.emulateNetworkConditions', SLOW_4G);
  await page.goto(url, { waitUntil: 'commit' });
  const ms = (await (await shown()).jsonValue()) as number;
  await context.close();
  return ms;
}

async function main(): Promise<void> {
  const url = process.env.OPEN_LARDER_URL ?? '';
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const median: Record<string, number> = {};
  for (const how of OPENINGS) {
    const times: number[] = [];
    for (let run = 0; run < RUNS; run += 1) times.push(await openOnce(browser, url, how));
    median[how.title] = times.sort((a, b) => a - b)[Math.floor(RUNS / 2)] as number;
  }
  const plain: Opening = { ...(OPENINGS[0] as Opening), slower: 1 };
  const base = await openOnce(browser, url, plain);
  for (const { title, limit } of OPENINGS) {
    const ms = median[title] as number;
    process.stdout.write(
      `| ${`first serving: ${title}, against cache alone`.padEnd(52)} | ${`${Math.round(ms)} ms`.padStart(12)} | ` +
        `${`${Math.round(base)} ms`.padStart(12)} | ${(ms / base).toFixed(2).padStart(6)} | ${limit} |\n`,
    );
  }
  await browser.close();
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
