import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';

/** The one place where the server asks what time it is, so that tests can say so. */
export interface Clock {
  now(): Date;
}

/**
 * The clock of the machine, or one that was set to `start` when the server began and runs on from
 * there: what the product does on another day can be seen today.
 */
export function runningClock(start?: string): Clock {
  const ahead = start === undefined ? 0 : Date.parse(start) - Date.now();
  return { now: () => new Date(Date.now() + ahead) };
}

/** The local day (YYYY-MM-DD) of an instant in a time zone. */
export function localDay(instant: Date, timeZone: string): string {
  return format(new TZDate(instant.getTime(), timeZone), 'yyyy-MM-dd');
}

/** Minutes after local midnight of an instant in a time zone. */
export function localMinutes(instant: Date, timeZone: string): number {
  const local = new TZDate(instant.getTime(), timeZone);
  return local.getHours() * 60 + local.getMinutes();
}
