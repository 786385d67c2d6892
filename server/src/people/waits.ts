import type pg from 'pg';
import { RateLimiterPostgres } from 'rate-limiter-flexible';
import { ProblemError } from '../http/problems';
import { digestOf } from './codes';

const DAY_S = 86_400;
const LONGEST_S = 900;
/** Tries that cost nothing: a name from one address, and an address as a whole. */
const FREE = { pair: 5, address: 40 };

/** Seconds to wait after so many tries that failed: 5, 10, 20 … up to a quarter of an hour. */
const waitAfter = (failed: number, free: number): number =>
  failed < free ? 0 : Math.min(LONGEST_S, 5 * 2 ** Math.min(failed - free, 10));

export interface Waits {
  /**
   * Do something that shows by its answer whether a secret was right: after several wrong ones, the
   * next try waits, longer each time. A right one ends the waiting of that name.
   * @throws ProblemError 429 with the seconds, whether or not there is such a name
   */
  guard: <T>(from: string, who: string, attempt: () => Promise<T | null>) => Promise<T | null>;
}

/** Kept in the database: a restart forgives nothing. */
export function waitsIn(pool: pg.Pool): Waits {
  const base = {
    storeClient: pool,
    tableName: 'sign_in_waits',
    tableCreated: true,
    clearExpiredByTimeout: false,
  };
  const failures = new RateLimiterPostgres({
    ...base,
    keyPrefix: 'failed',
    points: Number.MAX_SAFE_INTEGER,
    duration: DAY_S,
  });
  const blocks = new RateLimiterPostgres({ ...base, keyPrefix: 'wait', points: 1, duration: 1 });
  return {
    async guard(from, who, attempt) {
      const pair = digestOf(`${who.trim().toLowerCase()} ${from}`);
      const keys = [
        [pair, FREE.pair],
        [digestOf(from), FREE.address],
      ] as const;
      const left = await Promise.all(keys.map(([key]) => blocks.get(key)));
      const waitMs = Math.max(...left.map((one) => one?.msBeforeNext ?? 0));
      if (waitMs > 0) throw tooMany(Math.ceil(waitMs / 1000));
      // Counted before it is known: many at once do not all slip through.
      const counted = await Promise.all(keys.map(([key]) => failures.consume(key)));
      const found = await attempt();
      if (found !== null) {
        await failures.delete(pair);
        await failures.reward(keys[1][0]);
        return found;
      }
      for (const [at, [key, free]] of keys.entries()) {
        const seconds = waitAfter(counted[at]!.consumedPoints, free);
        if (seconds > 0) await blocks.block(key, seconds);
      }
      return null;
    },
  };
}

function tooMany(seconds: number): ProblemError {
  const wait = seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
  return new ProblemError(
    {
      status: 429,
      title: 'Too many tries',
      detail: `That was wrong several times. Wait ${wait}, then try again; one of your codes helps where the password is lost.`,
    },
    seconds,
  );
}
