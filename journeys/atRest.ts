import type { Page } from '@playwright/test';

const QUIET_MS = 600;

/**
 * Wait until nothing has come, and nothing has been drawn, for a little while.
 * The driver's own «network idle» may never come: what a stopped worker had
 * asked for is not told as ended.
 */
export async function atRest(page: Page): Promise<void> {
  const drawn = () =>
    page.evaluate(() => [
      performance.getEntriesByType('resource').length,
      document.querySelectorAll('*').length,
      document.body.scrollHeight,
    ]);
  let last = '';
  for (;;) {
    const now = String(await drawn());
    if (now === last) return;
    last = now;
    await page.waitForTimeout(QUIET_MS);
  }
}
