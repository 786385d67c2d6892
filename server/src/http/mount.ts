import {
  faultsOf,
  routes,
  type BodyOf,
  type ParamsOf,
  type QueryOf,
  type ResponseOf,
  type RouteName,
} from '@open-larder/contract';
import type { Request, RequestHandler, Router } from 'express';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { linesTo, type Telling } from './lines';
import { notFound, ProblemError } from './problems';

/** What every handler may use. */
export interface Context {
  scope: Scope;
  catalogue: Catalogue;
  clock: Clock;
}

export type Handler<N extends RouteName> = (
  request: { params: ParamsOf<N>; query: QueryOf<N>; body: BodyOf<N> },
  context: Context & Telling<N>,
) => Promise<ResponseOf<N>>;

export type Handlers = { [N in RouteName]?: Handler<N> };

/** Put handlers behind their rows of the route table: checked on the way in and on the way out. */
export function mount(
  router: Router,
  handlers: Handlers,
  contextOf: (request: Request) => Context,
): void {
  for (const name of Object.keys(handlers) as RouteName[]) {
    const route = routes[name];
    const handle = handlers[name] as Handler<RouteName>;
    const answer: RequestHandler = async (request, response) => {
      const params = route.params.safeParse(request.params);
      if (!params.success) throw notFound('What this address names');
      const query = route.query.safeParse(request.query);
      const body = route.body.safeParse(request.body ?? {});
      const faults = [query, body].flatMap((part) => (part.success ? [] : faultsOf(part.error)));
      if (faults.length > 0) {
        throw new ProblemError({
          status: 422,
          title: 'Please check what you entered',
          detail: faults.map((fault) => `${fault.path}: ${fault.message}`).join('; '),
          errors: faults,
        });
      }
      const lines = linesTo(response, route);
      const result = await handle(
        { params: params.data, query: query.data, body: body.data } as never,
        { ...contextOf(request), ...lines.telling },
      );
      lines.answer(route.response.parse(result));
    };
    router[route.method](route.path, answer);
  }
}
