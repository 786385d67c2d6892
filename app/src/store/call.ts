import type {
  BodyOf,
  ParamsOf,
  Problem,
  QueryInputOf,
  ResponseOf,
  RouteName,
  Unreadable,
} from '@open-larder/contract';
import {
  EVENT_ROUTES,
  PAGE_HEADER,
  paths,
  TIME_HEADER,
  type EventRoute,
} from '@open-larder/contract/paths';
import { loadHouse } from '../bundles/loadHouse';
import { compareWithServer, deviceNowMs, nowMs } from './clock';
import { isLeaving } from './leaving';
import { forgetIntents, intentAnswered, intentSent } from './intent';
import { recall } from './memory';
import { PAGE } from './page';
import { notReached, reached, shownAsOf } from './reach';

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

/** «/api/round/2026-03-10?hand=Wren» */
export function addressOf<N extends RouteName>(name: N, { params, query }: CallParts<N>): string {
  const path: string = paths[name][1];
  const address = path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown> | undefined)?.[key])),
  );
  const search = new URLSearchParams();
  for (const [key, value] of Object.entries((query ?? {}) as Record<string, unknown>)) {
    if (value !== undefined) search.set(key, String(value));
  }
  return search.size > 0 ? `${address}?${search}` : address;
}

export function ask<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
  signal?: AbortSignal,
): Promise<Response> {
  const method = paths[name][0];
  const { body } = parts;
  return fetch(addressOf(name, parts), {
    method: method.toUpperCase(),
    headers: {
      ...(method !== 'get' && { [PAGE_HEADER]: PAGE }),
      ...(body !== undefined && { 'Content-Type': 'application/json' }),
    },
    body: body === undefined ? undefined : JSON.stringify(body),
    signal,
    // Sent too as the page is left.
    keepalive: name === 'setPresence',
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
  const answer = await sendQuietly(name, parts, LONG.has(name) ? LONG_PATIENCE_MS : PATIENCE_MS);
  // Of a page that goes away nothing is taken back: whether it was done is read by the next one.
  const broken = 'error' in answer && answer.error.status === 0;
  return broken && isLeaving() ? new Promise(() => undefined) : answer;
}

/** Send as it is, once. Never throws. */
export async function sendQuietly<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
  patienceMs: number,
): Promise<Answer<ResponseOf<N>>> {
  const leaving = new AbortController();
  const patience = setTimeout(() => leaving.abort(), patienceMs);
  const sentMs = deviceNowMs();
  try {
    const response = await ask(name, parts, leaving.signal);
    const serverTime = response.headers?.get(TIME_HEADER);
    if (serverTime) compareWithServer(serverTime, sentMs);
    const answer = await answerOf<N>(response);
    reached();
    if ('error' in answer && answer.error.type === SIGNED_OUT) reportSignedOut();
    return answer;
  } catch {
    notReached();
    return { error: leaving.signal.aborted ? tooLong : unreachable };
  } finally {
    clearTimeout(patience);
  }
}

/** What is kept on this device, and sent from there: loaded when it is first needed. */
const offline = async () => (await loadHouse()).openHere();

/** Answers that came before that was loaded: those of the first screen. */
const MOST_EARLY = 100;
const early: { address: string; readMs: number; data: unknown }[] = [];
let keep: ((answer: (typeof early)[number]) => void) | null = null;

/** What to do with each answer that is worth keeping, and with those that came before. */
export function onAnswer(take: NonNullable<typeof keep>): void {
  keep = take;
  early.splice(0).forEach(take);
}

/** Of one moment, of one device, or long: not kept. */
const NOT_KEPT =
  /^(print|export|getHealth|getReady|getBackup|getPhoto|listDevices|listPasskeys|listChanges)/;

/** Whether acts wait on this device, that an answer of the server does not know of. */
const hasUnsent = () => (recall<number>('unsent') ?? 0) > 0;

/** A server that is busy for a moment is asked again before anyone is reported. */
const AGAIN_MS = [500, 1500];

async function read<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
): Promise<Answer<ResponseOf<N>>> {
  for (const pause of [...AGAIN_MS, null]) {
    const answer = await send(name, parts);
    if (!('error' in answer)) return heard(name, parts, answer.data);
    if (answer.error.status === 0 && !NOT_KEPT.test(name)) {
      return (await fromDevice(name, parts)) ?? answer;
    }
    if (answer.error.status !== 503 || pause === null) return answer;
    await new Promise((resolve) => setTimeout(resolve, pause));
  }
  return { error: unreachable };
}

/** An answer of the server, kept for when there is none; with what it does not know of yet. */
async function heard<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
  data: ResponseOf<N>,
): Promise<Answer<ResponseOf<N>>> {
  if (!NOT_KEPT.test(name)) {
    const answer = { address: addressOf(name, parts), readMs: nowMs(), data };
    if (keep) keep(answer);
    else if (early.length < MOST_EARLY) early.push(answer);
  }
  return { data: hasUnsent() ? await (await offline()).withActs(name, data, parts) : data };
}

/** What was last read, where nothing can be read now. */
async function fromDevice<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
): Promise<Answer<ResponseOf<N>> | null> {
  try {
    const here = await offline();
    const kept = await here.answer(name, parts);
    if (!kept) return null;
    shownAsOf(kept.readMs);
    return { data: await here.withActs(name, kept.data as ResponseOf<N>, parts) };
  } catch {
    return null;
  }
}

const EVENTS: ReadonlySet<RouteName> = new Set(EVENT_ROUTES);

/** What happened is on the device before it is sent; the rest is sent, or said not to be. */
async function deliver<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
): Promise<Answer<ResponseOf<N>>> {
  if (!EVENTS.has(name)) return send(name, parts);
  const errors = unread(parts.body);
  if (errors.length > 0) return { error: notRead(errors) };
  const here = await offline();
  return (await here.deliver(name as EventRoute, parts as CallParts<EventRoute>)) as Answer<
    ResponseOf<N>
  >;
}

/** Put something that happened on the device: what is drawn as done is not lost from then on. */
export async function keepFirst<N extends EventRoute>(name: N, parts: CallParts<N>): Promise<void> {
  await (await offline()).keep(name, parts);
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
    .then(() => deliver(name, parts))
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
