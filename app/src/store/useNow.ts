import { useSyncExternalStore } from 'react';
import { useHousehold } from './useHousehold';
import { nowMs } from './clock';
import { localNow, type Now } from './localNow';

export { localNow, type Now };

const MINUTE_MS = 60_000;

/** One clock for all that show the time. */
const watching = new Set<() => void>();
let timer: ReturnType<typeof setInterval> | undefined;
function watch(report: () => void): () => void {
  watching.add(report);
  timer ??= setInterval(() => watching.forEach((each) => each()), MINUTE_MS);
  return () => {
    watching.delete(report);
    if (watching.size > 0) return;
    clearInterval(timer);
    timer = undefined;
  };
}
const minuteNow = () => Math.floor(nowMs() / MINUTE_MS);

let last: { minute: number; zone: string; now: Now } | null = null;

/** What time it is for the household, told anew every minute. */
export function useNow(): Now {
  const zone = useHousehold()?.timeZone ?? 'UTC';
  const minute = useSyncExternalStore(watch, minuteNow, minuteNow);
  return minuteIn(minute, zone);
}

/** The household's local day: what depends on it alone is not recalculated every minute. */
export function useToday(): string {
  const zone = useHousehold()?.timeZone ?? 'UTC';
  const today = () => minuteIn(minuteNow(), zone).day;
  return useSyncExternalStore(watch, today, today);
}

/** The same object for all who ask in one minute. */
function minuteIn(minute: number, zone: string): Now {
  if (last?.minute !== minute || last.zone !== zone) {
    last = { minute, zone, now: localNow(new Date(minute * MINUTE_MS), zone) };
  }
  return last.now;
}
