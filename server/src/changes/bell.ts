import { setTimeout as wait } from 'node:timers/promises';
import pg from 'pg';

/** The channel on which households are named that changed. */
const CHANNEL = 'household_changed';
const AGAIN_MS = 1000;
/** Where much is logged, what rings within this time is said at once. */
const GATHER_MS = 25;

/** Rings for a household as something of it has come into force, on whichever server that was done. */
export interface Bell {
  /** Something of this household is in force. */
  ring: (householdId: string) => void;
  /** @returns what ends it */
  onRing: (householdId: string, hear: () => void) => () => void;
  /** Called as the server stops. */
  onClose: (end: () => void) => () => void;
  close: () => Promise<void>;
}

/**
 * A bell over a connection of its own to the database. It is rung after the change, not within it: the
 * changes of all households would otherwise wait for each other. A ring that is lost on the way is made
 * up for by the next one, and by pages that look every now and then.
 */
export function hangBell(url: string): Bell {
  const hearing = new Map<string, Set<() => void>>();
  const ends = new Set<() => void>();
  /** Rung since the last word to the database. */
  const rung = new Set<string>();
  let client: pg.Client | null = null;
  let ready = false;
  let sending = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let closed = false;

  const hear = (householdId: string) => hearing.get(householdId)?.forEach((each) => each());
  const connect = async () => {
    const next = new pg.Client({ connectionString: url, keepAlive: true });
    const lost = () => {
      if (client !== next) return;
      client = null;
      ready = false;
      void next.end().catch(() => undefined);
      if (!closed) timer = setTimeout(() => void connect(), AGAIN_MS);
    };
    client = next;
    next.on('error', lost);
    next.on('end', lost);
    next.on('notification', ({ payload }) => hear(payload ?? ''));
    try {
      await next.connect();
      await next.query(`LISTEN ${CHANNEL}`);
      ready = true;
      // What was done while nothing was heard is read now.
      hearing.forEach((each) => each.forEach((one) => one()));
      void pass();
    } catch {
      lost();
    }
  };
  /** Say what was rung, all that has gathered at once. */
  const pass = async () => {
    if (sending || !ready) return;
    sending = true;
    while (ready && client && rung.size > 0) {
      const households = [...rung];
      rung.clear();
      await client
        .query(`SELECT pg_notify('${CHANNEL}', id) FROM unnest(CAST($1 AS text[])) id`, [
          households,
        ])
        .catch(() => households.forEach((id) => rung.add(id)));
      await wait(GATHER_MS);
    }
    sending = false;
  };
  void connect();

  return {
    ring(householdId) {
      rung.add(householdId);
      void pass();
    },
    onRing(householdId, each) {
      const of = hearing.get(householdId) ?? new Set();
      hearing.set(householdId, of.add(each));
      return () => {
        of.delete(each);
        if (of.size === 0) hearing.delete(householdId);
      };
    },
    onClose(end) {
      ends.add(end);
      return () => ends.delete(end);
    },
    async close() {
      closed = true;
      clearTimeout(timer);
      ends.forEach((end) => end());
      const gone = client;
      client = null;
      ready = false;
      await gone?.end().catch(() => undefined);
    },
  };
}
