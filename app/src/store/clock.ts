import { forget, recall, remember } from './memory';

/**
 * The one place where the app asks what time it is. A phone's clock may be wrong: where it is more
 * than two minutes off, the server's time is used instead, and the shell says so.
 */
const TOLERATED_MS = 120_000;

const PLACE = 'clockAhead';

let deviceMs = (): number => Date.now();
/**
 * Milliseconds that the server is ahead of this device; 0 while they agree well enough. Kept, so that a
 * page that opens without a connection does not begin with a wrong clock.
 */
let aheadMs = recall<number>(PLACE) ?? 0;
/** Whether a server has answered this page. */
let known = false;
const listeners = new Set<() => void>();

export const nowMs = (): number => deviceMs() + aheadMs;
export const nowIso = (): string => new Date(nowMs()).toISOString();

/** How far this device's clock is off, in ms; 0 within two minutes. Positive: it is behind. */
export const clockOffMs = (): number => aheadMs;

/**
 * How far the device's clock is from one that only goes forward, in ms. Changes where the clock is set
 * while the page is open, and on some devices over a sleep.
 */
export const clockDriftMs = (): number => deviceMs() - performance.now();

/** Whether the device’s clock was compared since this page was opened. */
export const clockIsKnown = (): boolean => known;

export function onClockChange(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * Compare with the server's time, as an answer told it.
 * @param sentMs device time at which the request left; the answer is taken to be halfway
 */
export function compareWithServer(serverIso: string, sentMs: number): void {
  const serverMs = Date.parse(serverIso);
  const receivedMs = deviceMs();
  const tookMs = receivedMs - sentMs;
  // An answer that was long on its way says little about when the server wrote it; one that came before it
  // was asked for says that the clock was set meanwhile.
  if (Number.isNaN(serverMs) || tookMs < 0 || tookMs > TOLERATED_MS / 2) return;
  known = true;
  const offMs = serverMs - (sentMs + receivedMs) / 2;
  const next = Math.abs(offMs) > TOLERATED_MS ? offMs : 0;
  // Small changes are the network's, not the clock's.
  if (next !== 0 && aheadMs !== 0 && Math.abs(next - aheadMs) < TOLERATED_MS / 2) return;
  if (next === aheadMs) return;
  aheadMs = next;
  if (next === 0) forget(PLACE);
  else remember(PLACE, next);
  for (const listener of listeners) listener();
}

/** The device's time now, as opposed to the corrected one: when a request left. */
export const deviceNowMs = (): number => deviceMs();

/** Put another clock in place of the device's: tests only. */
export function setDeviceClock(clock: () => number): void {
  deviceMs = clock;
  aheadMs = 0;
  known = false;
}
