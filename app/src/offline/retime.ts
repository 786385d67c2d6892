import type { Act } from './act';

/** Clocks that agree this well are not corrected: the network’s delay would be written as time. */
const AGREES_MS = 120_000;

/** What a page knows of the clock of its device as it sends. */
export interface Clock {
  /** How far it is behind the server's, in ms. */
  aheadMs: number;
  page: string;
  /** How far it is from the page's own, in ms. */
  driftMs: number;
}

/**
 * An act with its times put right, as it leaves the device for the first time: the clock of the device may
 * have been wrong without anyone to say so. What else it holds is as it was seen.
 * @param dayOf the household’s day of an instant, `YYYY-MM-DD`
 */
export function retimed(act: Act, clock: Clock, dayOf: (ms: number) => string): Act {
  const { aheadMs } = clock;
  const shiftMs = aheadMs - act.aheadMs;
  if (Math.abs(shiftMs) < AGREES_MS) return act;
  // Set between the act and now, as far as its own page can tell; another page only knows what was known.
  const wasRight =
    act.page === clock.page ? Math.abs(act.driftMs - clock.driftMs) >= AGREES_MS : act.clockKnown;
  if (wasRight) return act;
  const doneMs = act.deviceMs + act.aheadMs;
  // A day that was chosen is kept; the one that was taken for today is corrected.
  const [wrong, right] = [dayOf(doneMs), dayOf(doneMs + shiftMs)];
  const put = (part: unknown): unknown => {
    if (Array.isArray(part)) return part.map(put);
    if (part === null || typeof part !== 'object') return part;
    return Object.fromEntries(
      Object.entries(part).map(([key, value]) => {
        if (key === 'at' && typeof value === 'string') {
          return [key, new Date(Date.parse(value) + shiftMs).toISOString()];
        }
        if (key === 'day' && value === wrong) return [key, right];
        return [key, put(value)];
      }),
    );
  };
  return { ...act, body: put(act.body) as Act['body'], aheadMs };
}
