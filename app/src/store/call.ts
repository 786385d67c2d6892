import type {
  BodyOf,
  Line,
  ParamsOf,
  Problem,
  QueryInputOf,
  ResponseOf,
  RouteName,
  ToldOf,
} from '@open-larder/contract';
import { LINES, paths } from '@open-larder/contract/paths';

export interface CallParts<N extends RouteName> {
  params?: ParamsOf<N>;
  query?: QueryInputOf<N>;
  body?: BodyOf<N>;
}

/** What came back: the answer, or a problem in words. */
export type Answer<T> = { data: T } | { error: Problem };

const unreachable: Problem = {
  type: 'urn:open-larder:unreachable',
  title: 'No connection',
  status: 0,
  detail: 'The server cannot be reached. What you entered is still here; try again in a moment.',
};

function ask<N extends RouteName>(
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

async function answerOf<N extends RouteName>(response: Response): Promise<Answer<ResponseOf<N>>> {
  const answer: unknown = await response.json();
  return response.ok ? { data: answer as ResponseOf<N> } : { error: answer as Problem };
}

/** Call a route of the table. Never throws: without a connection the answer is a problem too. */
export async function call<N extends RouteName>(
  name: N,
  parts: CallParts<N> = {},
): Promise<Answer<ResponseOf<N>>> {
  try {
    return await answerOf<N>(await ask(name, parts));
  } catch {
    return { error: unreachable };
  }
}

/**
 * Call a route that tells how far it is. Never throws, as `call`.
 * @param signal ends the work in the server too
 */
export async function follow<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
  onTold: (news: ToldOf<N>) => void,
  signal: AbortSignal,
): Promise<Answer<ResponseOf<N>>> {
  try {
    const response = await ask(name, parts, signal);
    const isTold = response.headers.get('Content-Type')?.startsWith(LINES);
    if (!isTold || !response.body) return await answerOf<N>(response);
    const reader = response.body.getReader();
    const decoder = new TextDecoder();
    let unread = '';
    for (;;) {
      const { done, value } = await reader.read();
      unread += decoder.decode(value, { stream: !done });
      const whole = unread.split('\n');
      unread = whole.pop()!;
      for (const text of whole) {
        const line = JSON.parse(text) as Line<N>;
        if ('answer' in line) return { data: line.answer };
        if ('problem' in line) return { error: line.problem };
        onTold(line.told);
      }
      if (done) return { error: unreachable };
    }
  } catch {
    return { error: unreachable };
  }
}

type ListName = {
  [N in RouteName]: ResponseOf<N> extends { items: unknown[]; next: string | null } ? N : never;
}[RouteName];
type ItemOf<N extends ListName> = ResponseOf<N>['items'][number];

/** All pages of a list, one after the other. */
export async function callAll<N extends ListName>(
  name: N,
  { params, query }: Omit<CallParts<N>, 'body'> = {},
): Promise<Answer<ItemOf<N>[]>> {
  const items: ItemOf<N>[] = [];
  let cursor: string | undefined;
  do {
    const page = await call(name, { params, query: { ...query, cursor } as QueryInputOf<N> });
    if ('error' in page) return page;
    items.push(...(page.data.items as ItemOf<N>[]));
    cursor = page.data.next ?? undefined;
  } while (cursor !== undefined);
  return { data: items };
}
