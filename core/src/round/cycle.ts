import { daysBetween } from './clock';

/** The days after which a tank's plan begins anew. */
export interface Cycle {
  /** 1 to 28. */
  days: number;
  /** A day that is the first of a cycle, YYYY-MM-DD. */
  from: string;
}

export const MAX_CYCLE_DAYS = 28;

/** The week, from a Monday: its days are the ISO weekdays 1 … 7. */
export const WEEK: Cycle = { days: 7, from: '2024-01-01' };

/** Which day of the cycle a day is, 1 for the first. */
export function dayOfCycle({ days, from }: Cycle, day: string): number {
  const since = daysBetween(from, day) % days;
  return (since < 0 ? since + days : since) + 1;
}
