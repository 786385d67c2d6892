import type { Browser, BrowserContext, Page } from '@playwright/test';
import { atRest } from './atRest';
import { expect, type Product } from './product';
import { NOW } from './server';

/** Another phone in the same household. */
export async function phone(browser: Browser, product: Product, now = NOW) {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'allow',
  });
  await context.clock.setFixedTime(now);
  const page = await context.newPage();
  await open(page, product);
  return { context, page };
}

export const open = async (page: Page, product: Product) => {
  await page.goto(`${product.url}/round`);
  await expect(page.getByRole('button', { name: /^Served: / }).first()).toBeVisible();
};

/** The app is on the device, with the rounds of the coming days. */
export async function onDevice(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    const days = async () => {
      const [{ name }] = (await indexedDB.databases()) as [{ name: string }];
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open(name);
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(asked.error!);
      });
      const asked = db.transaction('answers').objectStore('answers').getAllKeys();
      const keys = await new Promise<IDBValidKey[]>((resolve) => {
        asked.onsuccess = () => resolve(asked.result);
      });
      db.close();
      return keys.filter((key) => /^\/api\/round\/[\d-]+$/.test(String(key))).length;
    };
    while ((await days()) < 7) await new Promise((again) => setTimeout(again, 250));
  });
  await atRest(page);
}

/** Serve what is next. @returns what was on the button */
export async function serve(page: Page): Promise<string> {
  const next = page.getByRole('button', { name: /^Served: / }).first();
  const name = (await next.getAttribute('aria-label'))!;
  // By its name: what comes to the front meanwhile is another serving.
  const same = page.getByRole('button', { name, exact: true });
  await same.click();
  await expect(same).toHaveCount(0);
  return name;
}

/** The sign of what is kept here; on a phone the strip over the places too. */
export const sign = (page: Page, words: RegExp) => page.getByRole('button', { name: words }).last();
export const kept = (page: Page, words: RegExp) => expect(sign(page, words)).toBeVisible();
export const allSent = (page: Page, timeout?: number) =>
  expect(page.getByRole('button', { name: 'All is sent' }).first()).toBeVisible({ timeout });

export interface Fed {
  id: string;
  servingId: string;
  outcome: string;
  foodId: string;
  massG: number;
}
export const fedToday = async (page: Page, { url }: Product): Promise<Fed[]> => {
  const { items } = await (await page.request.get(`${url}/api/feedings?limit=200`)).json();
  return items.filter(({ day }: { day: string }) => day === NOW.slice(0, 10));
};
export const onShelf = async (page: Page, { url }: Product): Promise<number> => {
  const { items } = await (await page.request.get(`${url}/api/foods?limit=1000`)).json();
  return items.reduce((sum: number, one: { remainingG: number }) => sum + one.remainingG, 0);
};

export async function withoutSignal(
  context: BrowserContext,
  work: () => Promise<void>,
): Promise<void> {
  await context.setOffline(true);
  await work();
  await context.setOffline(false);
}
