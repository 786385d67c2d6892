import { createHash } from 'node:crypto';
import type { Route } from '@open-larder/contract';
import type { Scope } from '../db';
import { idUsed } from './problems';

/** What is sent with a change, as far as it says whether it is the same one again. */
interface Sent {
  params: unknown;
  body: unknown;
}

/** Answers are kept for this long: a phone that was offline for weeks may still send again. */
const KEPT_DAYS = 30;

/** Thrown where something was done before, so that nothing of the second time stays. */
const DONE_BEFORE = new Error('done before');

/**
 * Do what was sent once, in one transaction. Sent again, it is answered as the first time; an id that
 * comes with other content is reported so.
 * @param last what is written at the very end, where it is done now
 * @throws ProblemError 409 where the id was used for something else
 */
export async function once<T>(
  scope: Scope,
  route: Pick<Route, 'method' | 'path'>,
  sent: Sent,
  act: (scope: Scope) => Promise<T>,
  last: (scope: Scope) => void,
): Promise<T> {
  const key = keyOf(route, sent);
  if (key === null) {
    return scope.atomically(async (inside) => {
      const answer = await act(inside);
      last(inside);
      return answer;
    });
  }
  const digest = digestOf(route, sent);
  try {
    return await scope.atomically(async (inside) => {
      // Sent with the first query of the act and checked at its end: a round trip less.
      const claimed = claim(inside, key, digest);
      claimed.catch(() => undefined);
      const answer = await act(inside);
      if (!(await claimed)) throw DONE_BEFORE;
      inside.changeAhead(
        'UPDATE receipts SET answer = :answer::jsonb WHERE household_id = :household AND key = :key',
        { answer: JSON.stringify(answer), key },
      );
      last(inside);
      return answer;
    });
  } catch (error) {
    // Whatever went wrong the second time, what counts is the first.
    const known = await readReceipt<T>(scope, key).catch(() => null);
    if (!known) throw error;
    if (known.digest !== digest) throw idUsed();
    return known.answer;
  }
}

async function readReceipt<T>(
  scope: Scope,
  key: string,
): Promise<{ digest: string; answer: T } | null> {
  const [known] = await scope.rows<{ digest: string; answer: T }>(
    'SELECT digest, answer FROM receipts WHERE household_id = :household AND key = :key',
    { key },
  );
  return known ?? null;
}

/** Whoever claims first does it; the other waits for that, and has nothing left to do. */
async function claim(scope: Scope, key: string, digest: string): Promise<boolean> {
  const claimed = await scope.prepared.rows(
    `INSERT INTO receipts (household_id, key, digest) VALUES (:household, :key, :digest)
     ON CONFLICT DO NOTHING RETURNING key`,
    { key, digest },
  );
  return claimed.length > 0;
}

/** Something new has its id, an edit its version. What has neither changes nothing when repeated. */
function keyOf(route: Pick<Route, 'method' | 'path'>, sent: Sent): string | null {
  const { id, version } = sent.body as { id?: unknown; version?: unknown };
  if (route.method === 'post') return typeof id === 'string' ? id : null;
  return typeof version === 'number' ? digestOf(route, sent) : null;
}

/** Of the content alone: time and sender say nothing about what is meant. */
function digestOf(
  { method, path }: Pick<Route, 'method' | 'path'>,
  { params, body }: Sent,
): string {
  const { at: _, hand: __, ...content } = body as Record<string, unknown>;
  return createHash('sha256')
    .update(JSON.stringify([method, path, params, content]))
    .digest('base64url');
}

/** Delete receipts that are too old to be asked for again. */
export const dropOldReceipts = (scope: Scope): Promise<object[]> =>
  scope.rows(
    `DELETE FROM receipts WHERE household_id = :household
        AND recorded_at < now() - make_interval(days => :days) RETURNING key`,
    { days: KEPT_DAYS },
  );
