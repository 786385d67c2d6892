import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';

/** The one place where the server asks what time it is, so that tests can say so. */
export interface Clock {
  now(): Date;
}

export const systemClock: Clock = { now: () => new Date() };

/** The local day (YYYY-MM-DD) of an instant in a time zone. */
export function localDay(instant: Date, timeZone: string): string {
  return format(new TZDate(instant.getTime(), timeZone), 'yyyy-MM-dd');
}
