import type { Standing, VesselStand } from './types';
import { GIVES_NOTHING } from './vocabulary';
import { wayOf } from './ways';

/**
 * What a vessel gives each day from now for good: not what could be taken once. Plans are made with it.
 * @param days 1 to 366
 * @returns grams by day
 */
export function dailySupply(
  vessel: Standing,
  stand: Pick<VesselStand, 'state' | 'tempAhead' | 'tempC' | 'fullG'>,
  days: number,
): number[] {
  if (GIVES_NOTHING.has(stand.state)) return Array<number>(days).fill(0);
  const tempOn = (day: number) => stand.tempAhead[day] ?? stand.tempAhead.at(-1) ?? stand.tempC;
  return wayOf(vessel.kind).lasting(vessel, stand.fullG, days, tempOn);
}
