import { refused } from '../http/problems';

/**
 * Cursor paging over rows in the order of `keys`: the cursor is the key of the last row given.
 * Fetch `limit + 1` rows and cut: one more row means that there is a next page.
 */
export function cutPage<Row>(
  rows: readonly Row[],
  limit: number,
  keyOf: (row: Row) => readonly (string | number)[],
): { items: Row[]; next: string | null } {
  const items = rows.slice(0, limit);
  const last = items.at(-1);
  const next =
    rows.length > limit && last !== undefined
      ? Buffer.from(JSON.stringify(keyOf(last))).toString('base64url')
      : null;
  return { items, next };
}

/** @throws ProblemError 422 for a cursor that this server did not make */
export function readCursor(cursor: string | undefined, length: number): (string | number)[] | null {
  if (cursor === undefined) return null;
  try {
    const keys: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString());
    if (
      Array.isArray(keys) &&
      keys.length === length &&
      keys.every((key) => typeof key === 'string' || typeof key === 'number')
    ) {
      return keys;
    }
  } catch {
    // Falls through to the sentence below: a cursor that is no JSON is as wrong as any other.
  }
  throw refused('cursor', 'this page cannot be continued; load the list from its start');
}
