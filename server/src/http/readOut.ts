import type { Route, Unreadable } from '@open-larder/contract';
import type { z } from 'zod';
import { UNREADABLE } from '../db';

type Ids = readonly (string | null)[];

/**
 * An answer as its schema has it. A row of a list that cannot be read is named in its place, and never
 * takes its list with it.
 * @throws ZodError for an answer that is no such list and does not fit: a fault of ours
 */
export function readOut(
  route: Route,
  result: unknown,
  skipped: readonly Unreadable[],
  onUnreadable: (ids: Ids) => void,
): unknown {
  const whole = skipped.length > 0 ? { ...(result as object), unreadable: skipped } : result;
  if (skipped.length > 0) onUnreadable(skipped.map(({ id }) => id));
  const read = route.response.safeParse(whole);
  if (read.success) return read.data;
  const item = itemOf(route.response);
  const rows = (result as { items?: unknown[] } | null)?.items;
  if (!item || !Array.isArray(rows)) throw read.error;
  const items: unknown[] = [];
  const unreadable: Unreadable[] = [...skipped];
  for (const row of rows) {
    const one = item.safeParse(row);
    if (one.success) items.push(one.data);
    else unreadable.push({ id: idOf(row), detail: UNREADABLE });
  }
  onUnreadable(unreadable.map(({ id }) => id));
  return route.response.parse({ ...(result as object), items, unreadable });
}

/** What a list is made of; null where an answer is no list. */
function itemOf(response: z.ZodType): z.ZodType | null {
  const { shape } = response._zod.def as { shape?: Record<string, z.ZodType> };
  const { element } = (shape?.items?._zod.def ?? {}) as { element?: z.ZodType };
  return shape?.next && element ? element : null;
}

const idOf = (row: unknown): string | null => {
  const { id } = (row ?? {}) as { id?: unknown };
  return typeof id === 'string' ? id : null;
};
