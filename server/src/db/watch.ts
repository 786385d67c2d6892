import pg from 'pg';
import { unavailable } from '../http/problems';

const EVERY_MS = 1500;
/** A database that is asked for nothing but «1» and does not answer for so long hangs. */
const PATIENCE_MS = 2000;

const NOT_BEGUN =
  'The database does not answer. Nothing was changed; this is tried again as soon as it is back.';
const UNKNOWN =
  'The database stopped answering before this was confirmed. Send it again: nothing is done twice.';

export interface DatabaseWatch {
  readonly up: boolean;
  /** Do something that needs the database; ends with a 503 as soon as the database hangs. */
  guard: <T>(work: () => Promise<T>) => Promise<T>;
  stop: () => Promise<void>;
}

/** Ask a database every moment whether it is there, over a connection of its own. */
export function watchDatabase(url: string, onChange: (up: boolean) => void): DatabaseWatch {
  let up = true;
  let stopped = false;
  let client: pg.Client | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const waiting = new Set<() => void>();

  const report = (now: boolean) => {
    if (now === up) return;
    up = now;
    onChange(up);
    if (up) return;
    for (const fail of waiting) fail();
    waiting.clear();
  };
  const drop = () => {
    const gone = client;
    client = null;
    // A hanging database never says goodbye: nobody waits for it.
    void gone?.end().catch(() => undefined);
  };
  const connected = async (): Promise<pg.Client> => {
    if (client) return client;
    const next = new pg.Client({
      connectionString: url,
      connectionTimeoutMillis: PATIENCE_MS,
      query_timeout: PATIENCE_MS,
    });
    next.on('error', drop);
    await next.connect();
    client = next;
    return next;
  };
  const ask = async () => {
    try {
      await (await connected()).query('SELECT 1');
      report(true);
    } catch {
      drop();
      if (!stopped) report(false);
    }
    if (!stopped) timer = setTimeout(() => void ask(), EVERY_MS);
  };
  void ask();

  return {
    get up() {
      return up;
    },
    async guard<T>(work: () => Promise<T>): Promise<T> {
      if (!up) throw unavailable(NOT_BEGUN);
      let fail!: () => void;
      const down = new Promise<never>((_, reject) => {
        fail = () => reject(unavailable(UNKNOWN));
      });
      waiting.add(fail);
      try {
        return await Promise.race([work(), down]);
      } finally {
        waiting.delete(fail);
      }
    },
    async stop() {
      stopped = true;
      clearTimeout(timer);
      await client?.end().catch(() => undefined);
    },
  };
}
