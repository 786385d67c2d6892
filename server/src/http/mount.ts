import { ACCESS, PAGE_HEADER, type Access } from '@open-larder/contract/paths';
import {
  errorsOf,
  routes,
  type BodyOf,
  type ParamsOf,
  type QueryOf,
  type ResponseOf,
  type Route,
  type RouteName,
} from '@open-larder/contract';
import type { Request, RequestHandler, Router } from 'express';
import type { Catalogue } from '@open-larder/catalogue/load';
import { noteChange } from '../changes/store';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import type { Visitor } from '../people/visitor';
import { linesTo, type Reporting } from './lines';
import { notAllowed, notFound, ProblemError, signInFirst } from './problems';
import { readOut } from './readOut';
import { once } from './receipts';

/** What every handler may use. */
export interface Context {
  /** Of the household that the visitor is in; where there is none, of one that holds nothing. */
  scope: Scope;
  visitor: Visitor;
  catalogue: Catalogue;
  clock: Clock;
}

/**
 * What answers a route. One that changes something runs in a transaction of its own: all of what it
 * was sent is written, or nothing.
 */
export type Handler<N extends RouteName> = (
  request: { params: ParamsOf<N>; query: QueryOf<N>; body: BodyOf<N> },
  context: Context & Reporting<N>,
) => Promise<ResponseOf<N>>;

/** One for every row of the route table: a route without one does not compile. */
export type Handlers = { [N in RouteName]: Handler<N> };

interface Mounting {
  contextOf: (request: Request) => Promise<Context>;
  /** Ends work that waits for something that does not answer, with a sentence. */
  guard?: <T>(work: () => Promise<T>) => Promise<T>;
  /** Called with a household of which something has changed, as that is in force. */
  onChange?: (householdId: string) => void;
  /** Told of a row that was stored and cannot be read. */
  onUnreadable?: (name: RouteName, ids: readonly (string | null)[]) => void;
}

/** Put handlers behind their rows of the route table: checked on the way in and on the way out. */
export function mount(
  router: Router,
  handlers: Partial<Handlers>,
  {
    contextOf,
    guard = (work) => work(),
    onChange = () => undefined,
    onUnreadable = () => undefined,
  }: Mounting,
): void {
  for (const name of Object.keys(handlers) as RouteName[]) {
    const route: Route = routes[name];
    const handle = handlers[name] as Handler<RouteName>;
    const answer: RequestHandler = async (request, response) => {
      const context = await guard(() => contextOf(request));
      allow(route.access, context.visitor);
      const sent = signed(name, readIn(route, request), context.visitor);
      const lines = linesTo(response, route);
      // What is about a person, not about a household, keeps its own order: see people/routes.
      const changes = route.method !== 'get' && !route.progress && needsHousehold(route.access);
      const act = async (scope: Scope) => {
        const result = await handle(sent as never, { ...context, scope, ...lines.reporting });
        return readOut(route, result, scope.unreadable, (ids) => onUnreadable(name, ids));
      };
      lines.answer(
        await guard(async () => {
          if (!changes) return act(context.scope);
          const heard = UNHEARD.has(name)
            ? () => undefined
            : (scope: Scope) => noteChange(scope, changeOf(name, sent, request));
          const done = await once(context.scope, route, sent, act, heard);
          onChange(context.scope.householdId);
          return done;
        }),
      );
    };
    router[route.method](route.path, answer);
  }
}

/** Changes nothing that other pages show of the household: who is where is heard apart from it. */
const UNHEARD: ReadonlySet<RouteName> = new Set(['setPresence']);

const PAGE = /^[\w-]{1,64}$/;

const changeOf = (route: RouteName, { params }: Sent, request: Request) => {
  const page = request.header(PAGE_HEADER) ?? '';
  const { id } = params as { id?: unknown };
  return {
    route,
    subject: typeof id === 'string' ? id : null,
    page: PAGE.test(page) ? page : null,
  };
};

const needsHousehold = (access: Access) => ACCESS.indexOf(access) > ACCESS.indexOf('person');

/** Why a visitor may not do something, by the role that it takes. */
const MAY: Record<Access, string> = {
  anyone: '',
  person: '',
  guest: 'You belong to no household. Ask an owner for an invitation, or start one of your own.',
  feeder: 'You are a guest here: you can look, but not log. Ask an owner if you need to.',
  keeper: 'You can feed and log here, but not change plans. Ask an owner if you need to.',
  owner: 'Only owners of the household can do this. Ask one of them.',
};

/** @throws ProblemError 401 for who is not signed in, 403 for who may not */
export function allow(access: Access, { who }: Visitor): void {
  if (access === 'anyone') return;
  if (!who) throw signInFirst();
  if (access === 'person') return;
  if (!who.household) throw notAllowed(MAY.guest);
  if (ACCESS.indexOf(who.household.role) < ACCESS.indexOf(access)) {
    throw notAllowed(who.household.role === 'guest' ? MAY.feeder : MAY[access]);
  }
}

/** A weighing says whose pinch was weighed, which is not always the one who writes it down. */
const HAND_IS_MEANT: ReadonlySet<RouteName> = new Set(['addWeighing']);

type Sent = ReturnType<typeof readIn>;

/** Whoever is signed in did it, whatever was sent. */
function signed(name: RouteName, sent: Sent, { who }: Visitor): Sent {
  const doer = who?.person?.name;
  if (doer === undefined || HAND_IS_MEANT.has(name)) return sent;
  const sign = (part: unknown): unknown => {
    if (Array.isArray(part)) return part.map(sign);
    if (part === null || typeof part !== 'object') return part;
    return Object.fromEntries(
      Object.entries(part).map(([key, value]) => [key, key === 'hand' ? doer : sign(value)]),
    );
  };
  return { ...sent, body: sign(sent.body) };
}

/** @throws ProblemError 404 for an address that names nothing, 422 with what is wrong by field */
function readIn(route: Route, request: Request) {
  const params = route.params.safeParse(request.params);
  if (!params.success) throw notFound('What this address names');
  const query = route.query.safeParse(request.query);
  const body = route.body.safeParse(request.body ?? {});
  const errors = [query, body].flatMap((part) => (part.success ? [] : errorsOf(part.error)));
  if (errors.length > 0) {
    throw new ProblemError({
      status: 422,
      title: 'Please check what you entered',
      detail: errors.map((error) => `${error.path}: ${error.message}`).join('; '),
      errors: errors,
    });
  }
  return { params: params.data, query: query.data, body: body.data };
}
