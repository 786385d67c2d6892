import { useEffect, useState } from 'react';
import { api } from './api';

const MINUTE_MS = 60_000;

export interface Now {
  /** The household's local day, YYYY-MM-DD. */
  day: string;
  /** Minutes after its midnight. */
  minutes: number;
}

/** Local day and minute of an instant in a time zone. */
export function localNow(instant: Date, timeZone: string): Now {
  const parts = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(instant);
  const part = (type: string) => parts.find((one) => one.type === type)?.value ?? '';
  return {
    day: `${part('year')}-${part('month')}-${part('day')}`,
    minutes: Number(part('hour')) * 60 + Number(part('minute')),
  };
}

/** What time it is for the household, told anew every minute. */
export function useNow(): Now {
  const { data: household } = api.useHouseholdQuery();
  const zone = household?.timeZone ?? 'UTC';
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return localNow(now, zone);
}
