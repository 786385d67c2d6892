import { randomBytes } from 'node:crypto';
import { EVENT_ROUTES, paths } from '@open-larder/contract/paths';
import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import pg from 'pg';
import { v4 as uuidv4 } from 'uuid';
import type { Clock } from '../clock';
import type { Registry } from '../db';
import { unavailable } from '../http/problems';
import { deviceKind } from './deviceKind';
import { householdOf, whoIs, whoOf, type WhoRow } from './store';
import { isLoopback, originOf, type VisitorOf, type Who } from './visitor';

declare module 'express-session' {
  interface SessionData {
    personId: string;
    householdId: string | null;
    deviceId: string;
    device: string;
    since: string;
    seen: string;
    /** Who that is, read together with the session and never written into it. */
    known: Known;
  }
}

const DAY_MS = 86_400_000;
/** A device that is not used for so long is signed out. */
const IDLE_MS = 45 * DAY_MS;
/** However much it is used, a device signs in anew after so long. */
const LONGEST_MS = 365 * DAY_MS;
/** How often it is written down that a device was used: not with every read. */
const SEEN_EVERY_MS = 3_600_000;

export interface Sessions {
  /** Reads the session of a request, before anything asks who sent it. */
  read: RequestHandler;
  visitorOf: VisitorOf;
  pool: pg.Pool;
  close: () => Promise<void>;
}

interface Parts {
  dbUrl: string;
  registry: Registry;
  clock: Clock;
  /** Whether browsers reach the server over TLS, its own or a proxy’s. */
  secure: boolean;
}

/** Who is signed in where, kept in the database. */
export async function openSessions({ dbUrl, registry, clock, secure }: Parts): Promise<Sessions> {
  const pool = new pg.Pool({
    connectionString: dbUrl,
    max: 5,
    connectionTimeoutMillis: 3000,
    query_timeout: 5000,
  });
  // A connection that breaks while it is idle is replaced; who asks meanwhile hears of it.
  pool.on('error', () => undefined);
  const recent = new Recent();
  const store = new (storeOf(pool, recent))({ pool, tableName: 'sessions', disableTouch: true });
  const sessions = session({
    store,
    // The name binds the cookie to this host and to TLS, where there is TLS.
    name: secure ? '__Host-larder' : 'larder',
    secret: await signingKey(registry),
    resave: false,
    saveUninitialized: false,
    unset: 'destroy',
    cookie: { httpOnly: true, sameSite: 'strict', secure, path: '/', maxAge: IDLE_MS },
  });
  return {
    pool,
    read: (request, response, next) => {
      if (!READS.has(request.method) && !logsEvent(request)) {
        // It may end a session or change a role: nothing that was known before counts after it.
        recent.forget();
        response.once('close', () => recent.forget());
      }
      sessions(request, response, (error?: unknown) =>
        next(
          error ? unavailable('The database cannot be reached. Try again in a moment.') : undefined,
        ),
      );
    },
    visitorOf: async (request) => {
      const now = clock.now();
      await noteSeen(request, now);
      const { personId, householdId = null, deviceId = null, known } = request.session;
      return {
        who: personId ? (known?.who ?? (await whoIs(registry, personId, householdId))) : null,
        from: request.ip ?? '',
        origin: originOf(request),
        onThisMachine: isLoopback(request.ip),
        device: deviceKind(request.get('User-Agent')),
        deviceId,
        async signIn(person, household) {
          // A new id: one that was planted before leads nowhere.
          await done((end) => request.session.regenerate(end));
          Object.assign(request.session, {
            personId: person,
            householdId: household,
            deviceId: uuidv4(),
            device: deviceKind(request.get('User-Agent')),
            since: now.toISOString(),
            seen: now.toISOString(),
          });
          await done((end) => request.session.save(end));
        },
        async moveTo(household) {
          request.session.householdId = household;
          await done((end) => request.session.save(end));
        },
        signOut: () => done((end) => request.session.destroy(end)),
      };
    },
    async close() {
      store.close();
      await pool.end();
    },
  };
}

/** Travels with a session and is left out where that is written down. */
class Known {
  constructor(readonly who: Who | null) {}
  toJSON(): undefined {
    return undefined;
  }
}

type SessionRow = WhoRow & { sess: session.SessionData };

const SESSION = `
  SELECT s.sess, p.id, p.name, p.email, m.household_id AS "householdId", m.role
    FROM sessions s
    LEFT JOIN people p ON p.id = CAST(s.sess ->> 'personId' AS uuid)
    LEFT JOIN ${householdOf("s.sess ->> 'householdId'")} m ON true
   WHERE s.sid = $1 AND s.expire >= now()`;

const READS = new Set(['GET', 'HEAD']);
const EVENT_PATHS = EVENT_ROUTES.map(
  (name) => new RegExp(`^${paths[name][1].replace(/:\w+/g, '[^/]+')}$`),
);
/** Events of the fish room change no session and no role. */
const logsEvent = ({ method, baseUrl, path }: Request): boolean =>
  method === 'POST' && EVENT_PATHS.some((one) => one.test(baseUrl + path));
/** A page asks for a dozen things at once: for so long who asks is not looked up again. */
const RECENT_MS = 1000;

/** Sessions that were just read; forgotten with writes of this server that may concern them, and within a second of others’. */
class Recent {
  private readonly rows = new Map<string, SessionRow>();
  private until = 0;
  /** What was asked before the last write is not kept after it. */
  writes = 0;

  get(sid: string): SessionRow | undefined {
    if (performance.now() >= this.until) this.rows.clear();
    return this.rows.get(sid);
  }

  keep(sid: string, row: SessionRow, askedAt: number): void {
    if (askedAt !== this.writes) return;
    if (this.rows.size === 0) this.until = performance.now() + RECENT_MS;
    this.rows.set(sid, row);
  }

  forget(): void {
    this.writes += 1;
    this.rows.clear();
  }
}

/** Sessions are read together with who they are of: one question for each request, not two. */
function storeOf(pool: pg.Pool, recent: Recent) {
  return class extends connectPgSimple(session) {
    override get(
      sid: string,
      callback: (error: unknown, sess?: session.SessionData | null) => void,
    ): void {
      const answer = (row: SessionRow) =>
        callback(null, {
          // Each request changes its own.
          ...structuredClone(row.sess),
          known: new Known(row.id === null ? null : whoOf(row)),
        });
      const known = recent.get(sid);
      if (known) return answer(known);
      const askedAt = recent.writes;
      pool.query<SessionRow>({ name: 'session', text: SESSION, values: [sid] }).then(
        ({ rows: [row] }) => {
          if (!row) return callback(null, null);
          recent.keep(sid, row, askedAt);
          answer(row);
        },
        (error: unknown) => callback(error),
      );
    }
  };
}

const done = (begin: (end: (error?: unknown) => void) => void): Promise<void> =>
  new Promise((resolve, reject) => begin((error) => (error ? reject(error as Error) : resolve())));

/** Write down now and then that a device is used; one that has been signed in too long is not any more. */
async function noteSeen({ session: kept }: Request, now: Date): Promise<void> {
  if (!kept.personId) return;
  if (now.getTime() - Date.parse(kept.since ?? '') > LONGEST_MS) {
    delete kept.personId;
    await done((end) => kept.save(end));
  } else if (now.getTime() - Date.parse(kept.seen ?? '') > SEEN_EVERY_MS) {
    kept.seen = now.toISOString();
    kept.touch();
    await done((end) => kept.save(end));
  }
}

/** Made once for a database, so that everyone stays signed in over a restart. */
async function signingKey(registry: Registry): Promise<string> {
  await registry.rows(
    `INSERT INTO server_keys (name, value) VALUES ('sessions', :value) ON CONFLICT DO NOTHING
     RETURNING name`,
    { value: randomBytes(32).toString('base64url') },
  );
  const [key] = await registry.rows<{ value: string }>(
    "SELECT value FROM server_keys WHERE name = 'sessions'",
  );
  return key!.value;
}
