import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import type { Product } from './product';

/** What a phone keeps of something that was done on it. */
export interface Entry {
  id: string;
  route: 'logFeeding' | 'undoFeeding';
  params?: { id: string };
  body: Record<string, unknown> & { id: string; at: string };
}

/** Every so many is taken back again. */
const UNDONE = 5;

/**
 * What a long day leaves on a phone: foods besides the plan, over the hours of the day.
 * @param undos some of them are taken back
 */
export async function entries(
  { url }: Pick<Product, 'url'>,
  many: number,
  day: string,
  undos = true,
): Promise<Entry[]> {
  const items = async (path: string) => {
    const answer = (await (await fetch(`${url}${path}?limit=1000`)).json()) as {
      items: { id: string; lots?: unknown[] }[];
    };
    return answer.items;
  };
  const groups = await items('/api/groups');
  const foods = (await items('/api/foods')).filter(({ lots }) => (lots ?? []).length > 0);
  const stepMs = (12 * 3_600_000) / many;
  const made: Entry[] = [];
  while (made.length < many) {
    const n = made.length;
    const at = new Date(Date.parse(`${day}T00:30:00Z`) + n * stepMs).toISOString();
    const last = made[n - 1];
    const id = uuidv7();
    if (undos && last?.route === 'logFeeding' && n % UNDONE === UNDONE - 1) {
      made.push({ id, route: 'undoFeeding', params: { id: last.id }, body: { id, at } });
      continue;
    }
    const body = {
      id,
      servingId: uuidv7(),
      day,
      groupId: groups[n % groups.length]!.id,
      foodId: foods[n % foods.length]!.id,
      outcome: 'more',
      plannedUnits: 0,
      units: 0.01,
      note: '',
      at,
    };
    made.push({ id, route: 'logFeeding', body });
  }
  return made;
}

/** Put them where the app keeps what it could not send. It sees them as it is opened the next time. */
export const keepOnPhone = (page: Page, acts: readonly Entry[]): Promise<void> =>
  page.evaluate(async (all) => {
    const [{ name }] = (await indexedDB.databases()) as [{ name: string }];
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open(name);
      asked.onsuccess = () => resolve(asked.result);
      asked.onerror = () => reject(asked.error!);
    });
    const change = db.transaction('acts', 'readwrite');
    for (const act of all) {
      change.objectStore('acts').add({
        ...act,
        whose: '',
        deviceMs: Date.parse(act.body.at),
        aheadMs: 0,
        clockKnown: true,
        page: '',
        driftMs: 0,
        sent: false,
        released: true,
        failures: 0,
        problem: null,
      });
    }
    await new Promise<void>((resolve, reject) => {
      change.oncomplete = () => resolve();
      change.onerror = () => reject(change.error!);
    });
    db.close();
  }, acts);
