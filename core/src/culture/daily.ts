import type { ForecastStart, VesselStatus } from './types';
import { GIVES_NOTHING } from './vocabulary';
import { wayOf } from './ways';

/**
 * What a vessel gives each day from now for good: not what could be taken once. Plans are made with it.
 * @param days 1 to 366
 * @returns grams by day
 */
export function dailySupply(
  vessel: ForecastStart,
  status: Pick<VesselStatus, 'state' | 'tempAhead' | 'tempC' | 'fullG'>,
  days: number,
): number[] {
  if (GIVES_NOTHING.has(status.state)) return Array<number>(days).fill(0);
  const tempOn = (day: number) => status.tempAhead[day] ?? status.tempAhead.at(-1) ?? status.tempC;
  return wayOf(vessel.kind).lasting(vessel, status.fullG, days, tempOn);
}
