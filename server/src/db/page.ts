import { invalid } from '../http/problems';

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

/** What a part of a cursor may be: checked, since it goes into a query as it came. */
const PARTS = {
  id: (part: unknown) => typeof part === 'string' && UUID.test(part),
  day: (part: unknown) => typeof part === 'string' && DAY.test(part) && isDay(part),
  seq: (part: unknown) => Number.isSafeInteger(part) && (part as number) >= 0,
  place: (part: unknown) => Number.isInteger(part) && Math.abs(part as number) <= 2_147_483_647,
};
type Part = keyof typeof PARTS;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const isDay = (text: string) => !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) && text > '0001';

/** @throws ProblemError 422 for a cursor that this server did not make */
export function readCursor(
  cursor: string | undefined,
  ...parts: readonly Part[]
): (string | number)[] | null {
  if (cursor === undefined) return null;
  try {
    const keys: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString());
    if (
      Array.isArray(keys) &&
      keys.length === parts.length &&
      parts.every((part, at) => PARTS[part](keys[at]))
    ) {
      return keys as (string | number)[];
    }
  } catch {
    // Falls through to the sentence below: a cursor that is no JSON is as wrong as any other.
  }
  throw invalid('cursor', 'this page cannot be continued; load the list from its start');
}
