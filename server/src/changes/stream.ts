import { position, type Changes } from '@open-larder/contract';
import { paths } from '@open-larder/contract/paths';
import type { Request, RequestHandler, Response } from 'express';
import { allow, type Context } from '../http/mount';
import type { Bell } from './bell';
import { changesAfter } from './store';

const STREAM = 'text/event-stream';
/** Between two signs of life: shorter than proxies wait, and a session that ended is noticed. */
const BEAT_MS = 20_000;
/** How soon a page whose stream broke asks again. */
const RETRY_MS = 1500;

interface Parts {
  contextOf: (request: Request) => Promise<Context>;
  bell: Bell;
}

/**
 * What changes in a household, as server-sent events: `change`, one for each, in order; `anew` where some
 * are no longer kept; `here` with who is in the Round. It goes on from Last-Event-ID. Who asks for
 * something else gets the plain answer of the route.
 */
export const changeStream =
  ({ contextOf, bell }: Parts): RequestHandler =>
  async (request, response, next) => {
    if (!request.headers.accept?.includes(STREAM)) return next();
    const { scope, visitor } = await contextOf(request);
    allow(paths.listChanges[2], visitor);
    const end = follow(response, {
      after: askedAfter(request),
      read: (after) => changesAfter(scope, after),
      mayGoOn: async () => {
        const { who } = (await contextOf(request)).visitor;
        return who?.household?.id === scope.householdId;
      },
      onRing: (ring) => bell.onRing(scope.householdId, ring),
    });
    response.once('close', bell.onClose(end));
  };

function askedAfter(request: Request): string | undefined {
  const asked = request.header('Last-Event-ID') ?? request.query.after;
  return position.safeParse(asked).data;
}

interface Followed {
  after: string | undefined;
  read: (after: string | undefined) => Promise<Changes>;
  mayGoOn: () => Promise<boolean>;
  onRing: (ring: () => void) => () => void;
}

/** Write what comes, one reading at a time. @returns what ends it */
function follow(response: Response, { after, read, mayGoOn, onRing }: Followed): () => void {
  response.writeHead(200, {
    'Content-Type': STREAM,
    // Neither kept nor packed on the way: each line goes out as it is written.
    'Cache-Control': 'no-cache, no-transform',
    'X-Accel-Buffering': 'no',
  });
  response.write(`retry: ${RETRY_MS}\n\n`);
  let at = after;
  let here = '';
  let reading = false;
  let rung = false;

  const write = (event: string, id: string, data: unknown) =>
    response.write(`id: ${id}\nevent: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  const ring = () => {
    rung = true;
    if (!reading) void pass();
  };
  const pass = async () => {
    reading = true;
    try {
      while (rung && !response.writableEnded) {
        rung = false;
        const news = await read(at);
        const fresh = at === undefined;
        at = news.position;
        if (!news.whole) write('anew', at, {});
        for (const { position: id, ...change } of news.changes) write('change', id, change);
        if (fresh) response.write(`id: ${at}\n\n`);
        const present = JSON.stringify(news.here);
        if (present !== here) write('here', at, news.here);
        here = present;
        // There may be more than was read at once.
        if (news.changes.length > 0) rung = true;
      }
    } catch {
      // The database is away: the page asks again.
      end();
    } finally {
      reading = false;
    }
  };
  const beat = setInterval(() => {
    response.write(': \n\n');
    void mayGoOn().then(
      (may) => (may ? ring() : end()),
      () => end(),
    );
  }, BEAT_MS);
  const silence = onRing(ring);
  const end = () => response.end();
  response.once('close', () => {
    silence();
    clearInterval(beat);
  });
  ring();
  return end;
}
