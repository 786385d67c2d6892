/** What was asked of the stand-in server. */
export interface Asked {
  method: string;
  path: string;
  body: unknown;
}

const HEALTH = '/api/health';

type Answer = unknown | ((asked: Asked) => { status: number; body: unknown });

/** Let `fetch` answer from a list, in place of a server; returns what was asked, in order. */
export function standIn(answers: Record<string, Answer>): Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = jest.fn(async (input: unknown, init?: RequestInit) => {
    const [path = ''] = String(input).split('?');
    const method = init?.method ?? 'GET';
    const body: unknown = init?.body ? JSON.parse(String(init.body)) : undefined;
    // An address without an answer looks like a lost connection: the app then asks whether the server is there.
    if (path === HEALTH && answers[`GET ${HEALTH}`] === undefined) return answered(200, {});
    asked.push({ method, path, body });
    const answer = answers[`${method} ${path}`];
    if (answer === undefined)
      throw new TypeError(`the stand-in has no answer to ${method} ${path}`);
    const { status, body: said } =
      typeof answer === 'function'
        ? (answer as (asked: Asked) => { status: number; body: unknown })({ method, path, body })
        : { status: 200, body: answer };
    return answered(status, said);
  }) as typeof fetch;
  return asked;
}

const answered = (status: number, said: unknown): Response =>
  ({
    ok: status < 300,
    status,
    json: async () => JSON.parse(JSON.stringify(said)) as unknown,
  }) as Response;

/** The bodies that were sent by a method, in order. */
export const sent = (asked: readonly Asked[], method: 'POST' | 'PUT') =>
  asked.filter((one) => one.method === method).map((one) => one.body as Record<string, unknown>);

/** The answer to a new row: the row as it was sent, in its first version. */
export const created = ({ body }: Pick<Asked, 'body'>) => ({
  status: 201,
  body: { ...(body as object), version: 1, archived: false },
});
