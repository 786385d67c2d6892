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
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { linesTo, type Reporting } from './lines';
import { notFound, ProblemError } from './problems';
import { readOut } from './readOut';
import { once } from './receipts';

/** What every handler may use. */
export interface Context {
  scope: Scope;
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
  contextOf: (request: Request) => Context;
  /** Ends work that waits for something that does not answer, with a sentence. */
  guard?: <T>(work: () => Promise<T>) => Promise<T>;
  /** Told of a row that was stored and cannot be read. */
  onUnreadable?: (name: RouteName, ids: readonly (string | null)[]) => void;
}

/** Put handlers behind their rows of the route table: checked on the way in and on the way out. */
export function mount(
  router: Router,
  handlers: Partial<Handlers>,
  { contextOf, guard = (work) => work(), onUnreadable = () => undefined }: Mounting,
): void {
  for (const name of Object.keys(handlers) as RouteName[]) {
    const route: Route = routes[name];
    const handle = handlers[name] as Handler<RouteName>;
    const answer: RequestHandler = async (request, response) => {
      const sent = readIn(route, request);
      const lines = linesTo(response, route);
      const context = contextOf(request);
      const act = async (scope: Scope) => {
        const result = await handle(sent as never, { ...context, scope, ...lines.reporting });
        return readOut(route, result, scope.unreadable, (ids) => onUnreadable(name, ids));
      };
      const changes = route.method !== 'get' && !route.progress;
      lines.answer(
        await guard(() => (changes ? once(context.scope, route, sent, act) : act(context.scope))),
      );
    };
    router[route.method](route.path, answer);
  }
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
