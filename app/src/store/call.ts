import type {
  BodyOf,
  ParamsOf,
  Problem,
  QueryInputOf,
  ResponseOf,
  RouteName,
  Unreadable,
} from '@open-larder/contract';
import { paths, TIME_HEADER } from '@open-larder/contract/paths';
import { compareWithServer, deviceNowMs } from './clock';
import { isLeaving } from './leaving';
import { forgetIntents, intentAnswered, intentSent } from './intent';

export interface CallParts<N extends RouteName> {
  params?: ParamsOf<N>;
  query?: QueryInputOf<N>;
  body?: BodyOf<N>;
}

/** What came back: the answer, or a problem in words. */
export type Answer<T> = { data: T } | { error: Problem };

export const unreachable: Problem = {
  type: 'urn:open-larder:unreachable',
  title: 'No connection',
  status: 0,
  detail: 'The server cannot be reached. What you entered is still here; try again in a moment.',
};

const tooLong: Problem = {
  type: 'urn:open-larder:unanswered',
  title: 'No answer',
  status: 0,
  detail: 'The server does not answer. Try again in a moment: nothing is done twice.',
};

const SIGNED_OUT = 'urn:open-larder:signed-out';

/** A phone is not left waiting: the server itself gives up on a statement after ten seconds. */
const PATIENCE_MS = 15_000;
/** Whole tables, pictures and printed pages take their time. */
const LONG_PATIENCE_MS = 120_000;
const LONG = new Set<RouteName>([
  'importTable',
  'exportTable',
  'keepPhoto',
  'printRound',
  'getBackup',
  'restoreBackup',
]);

export function ask<N extends RouteName>(
  name: N,
  { params, query, body }: CallParts<N>,
  signal?: AbortSignal,
): Promise<Response> {
  const [method, path] = paths[name];
  const address = path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown> | undefined)?.[key])),
  );
  const search = new URLSearchParams();
  for (const [key, value] of Object.entries((query ?? {}) as Record<string, unknown>)) {
    if (value !== undefined) search.set(key, String(value));
  }
  return fetch(search.size > 0 ? `${address}?${search}` : address, {
    method: method.toUpperCase(),
    headers: body === undefined ? undefined : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
    signal,
  });
}

export async function answerOf<N extends RouteName>(
  response: Response,
): Promise<Answer<ResponseOf<N>>> {
  const answer: unknown = await response.json();
  return response.ok ? { data: answer as ResponseOf<N> } : { error: answer as Problem };
}

/** What a form could not read has no number: it would be sent as nothing, and is said instead. */
function unread(value: unknown, path = ''): NonNullable<Problem['errors']> {
  if (typeof value === 'number') {
    return Number.isNaN(value) ? [{ path, message: 'this cannot be read as a number' }] : [];
  }
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, one]) =>
    unread(one, path === '' ? key : `${path}.${key}`),
  );
}

const notRead = (errors: NonNullable<Problem['errors']>): Problem => ({
  type: 'urn:open-larder:not-read',
  title: 'A number cannot be read; nothing was saved',
  status: 422,
  detail: 'A number cannot be read; nothing was saved. Correct the field that says so.',
  errors,
});

async function send<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
): Promise<Answer<ResponseOf<N>>> {
  const errors = unread(parts.body);
  if (errors.length > 0) return { error: notRead(errors) };
  const leaving = new AbortController();
  const patience = setTimeout(
    () => leaving.abort(),
    LONG.has(name) ? LONG_PATIENCE_MS : PATIENCE_MS,
  );
  const sentMs = deviceNowMs();
  try {
    const response = await ask(name, parts, leaving.signal);
    const serverTime = response.headers?.get(TIME_HEADER);
    if (serverTime) compareWithServer(serverTime, sentMs);
    const answer = await answerOf<N>(response);
    if ('error' in answer && answer.error.type === SIGNED_OUT) reportSignedOut();
    return answer;
  } catch {
    // Of a page that goes away nothing is taken back: whether it was done is read by the next one.
    if (isLeaving()) return new Promise(() => undefined);
    return { error: leaving.signal.aborted ? tooLong : unreachable };
  } finally {
    clearTimeout(patience);
  }
}

/** A server that is busy for a moment is asked again before anyone is reported. */
const AGAIN_MS = [500, 1500];

async function read<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
): Promise<Answer<ResponseOf<N>>> {
  for (const pause of AGAIN_MS) {
    const answer = await send(name, parts);
    if (!('error' in answer) || answer.error.status !== 503) return answer;
    await new Promise((resolve) => setTimeout(resolve, pause));
  }
  return send(name, parts);
}

/** Changes that are under way or were just answered, by their id: a double tap is one act. */
const acts = new Map<string, Promise<Answer<unknown>>>();
const JUST_ANSWERED_MS = 1500;

/** Nothing is under way: between two tests. */
export function forgetActs(): void {
  acts.clear();
  forgetIntents();
}

/**
 * Call a route of the table. Never throws: without a connection, or an answer in time, there is a
 * problem too. What has an id is sent once, however often it is called while it is under way.
 */
export function call<N extends RouteName>(
  name: N,
  parts: CallParts<N> = {},
): Promise<Answer<ResponseOf<N>>> {
  const { id } = (parts.body ?? {}) as { id?: unknown };
  if (paths[name][0] === 'get') return read(name, parts);
  if (paths[name][0] !== 'post' || typeof id !== 'string') return send(name, parts);
  // What is taken back may be done anew at once.
  const undone = (parts.params as { id?: unknown } | undefined)?.id;
  let undoes: Promise<unknown> = Promise.resolve();
  for (const [one, act] of acts) {
    if (!one.endsWith(` ${String(undone)}`)) continue;
    // What takes an act back never overtakes it on the way.
    undoes = act;
    acts.delete(one);
  }
  if (typeof undone === 'string') intentAnswered(undone, false);
  const key = `${name} ${id}`;
  const known = acts.get(key);
  if (known) return known as Promise<Answer<ResponseOf<N>>>;
  intentSent(id);
  const act = undoes
    .then(() => send(name, parts))
    .then((answer) => {
      const done = !('error' in answer);
      // Lost, or broken off: whether it was done is not known, and its id stays what it was.
      const known = done || (answer.error.status >= 400 && answer.error.status < 500);
      if (known) intentAnswered(id, done);
      if (done) setTimeout(() => acts.delete(key), JUST_ANSWERED_MS);
      else acts.delete(key);
      return answer;
    });
  acts.set(key, act);
  return act;
}

type ListName = {
  [N in RouteName]: ResponseOf<N> extends {
    items: unknown[];
    next: string | null;
    unreadable?: Unreadable[];
  }
    ? N
    : never;
}[RouteName];
type ItemOf<N extends ListName> = ResponseOf<N>['items'][number];

let reportSignedOut: () => void = () => undefined;

/** What to do when the session of this device has ended. */
export function onSignedOut(report: typeof reportSignedOut): void {
  reportSignedOut = report;
}

let reportUnreadable: (name: RouteName, rows: Unreadable[]) => void = () => undefined;

/** Be told what of a list could not be read. */
export function onUnreadable(report: typeof reportUnreadable): void {
  reportUnreadable = report;
}

/** All pages of a list, one after the other. */
export async function callAll<N extends ListName>(
  name: N,
  { params, query }: Omit<CallParts<N>, 'body'> = {},
): Promise<Answer<ItemOf<N>[]>> {
  const items: ItemOf<N>[] = [];
  const unreadable: Unreadable[] = [];
  let cursor: string | undefined;
  do {
    const page = await call(name, { params, query: { ...query, cursor } as QueryInputOf<N> });
    if ('error' in page) return page;
    items.push(...(page.data.items as ItemOf<N>[]));
    unreadable.push(...(page.data.unreadable ?? []));
    cursor = page.data.next ?? undefined;
  } while (cursor !== undefined);
  reportUnreadable(name, unreadable);
  return { data: items };
}
