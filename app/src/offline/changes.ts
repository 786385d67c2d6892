import type { Present } from '@open-larder/contract';
import { paths } from '@open-larder/contract/paths';
import { PAGE } from '../store/page';

const LOCK = 'open-larder.changes';
const CHANNEL = 'open-larder.changes';
/** After a refusal it is asked for again: a person may have signed in. */
const AGAIN_MS = 5000;
/** Changes that come together are read together. */
const GATHER_MS = 30;

/** What another page did. */
export interface Change {
  route: string;
  subject: string | null;
  page: string | null;
}

type News =
  | { kind: 'change'; change: Change; position: string }
  | { kind: 'anew'; position: string }
  | { kind: 'here'; here: Present[] };

interface Hears {
  changed: (changes: readonly Change[]) => void;
  /** More was missed than can be named. */
  anew: () => void;
  here: (here: readonly Present[]) => void;
  /** The server does not let this page follow: the session may have ended. */
  refused: () => void;
}

/**
 * Follow what changes in the household. Of all pages of a browser one asks the server, and passes on what
 * it hears: a browser opens only a handful of connections at a time.
 * @returns what ends it
 */
export function followChanges(hears: Hears): () => void {
  const leaving = new AbortController();
  const others = globalThis.BroadcastChannel ? new BroadcastChannel(CHANNEL) : null;
  let position: string | null = null;
  let gathered: Change[] = [];
  const pass = () => {
    const changes = gathered;
    gathered = [];
    if (changes.length > 0) hears.changed(changes);
  };
  const take = (news: News) => {
    if (news.kind === 'here') return hears.here(news.here);
    position = news.position;
    if (news.kind === 'anew') return hears.anew();
    if (news.change.page === PAGE) return;
    if (gathered.length === 0) setTimeout(pass, GATHER_MS);
    gathered.push(news.change);
  };
  if (others) others.onmessage = ({ data }: MessageEvent<News>) => take(data);

  /** One stream, until it is refused or this page stops. */
  const stream = () =>
    new Promise<void>((ended) => {
      const source = new EventSource(
        position === null ? paths.listChanges[1] : `${paths.listChanges[1]}?after=${position}`,
      );
      const hear = (kind: News['kind']) =>
        source.addEventListener(kind, ({ data, lastEventId }: MessageEvent<string>) => {
          const news = newsOf(kind, data, lastEventId);
          take(news);
          others?.postMessage(news);
        });
      hear('change');
      hear('anew');
      hear('here');
      const end = () => {
        source.close();
        ended();
      };
      // What only broke off is asked for again by the browser.
      source.onerror = () => {
        if (source.readyState !== EventSource.CLOSED) return;
        hears.refused();
        end();
      };
      leaving.signal.addEventListener('abort', end);
    });
  const listen = async () => {
    while (!leaving.signal.aborted) {
      await stream();
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  };
  void (async () => {
    const { locks } = navigator;
    // The page that listened was closed: another one goes on from where it was.
    await (locks ? locks.request(LOCK, { signal: leaving.signal }, listen) : listen());
  })().catch(() => undefined);
  return () => {
    leaving.abort();
    others?.close();
  };
}

function newsOf(kind: News['kind'], data: string, position: string): News {
  switch (kind) {
    case 'change':
      return { kind, change: JSON.parse(data) as Change, position };
    case 'here':
      return { kind, here: JSON.parse(data) as Present[] };
    case 'anew':
      return { kind, position };
  }
}
