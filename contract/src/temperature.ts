import { daysBetween } from '@open-larder/core/round';
import type { Tank } from './tank';

/** Days for which a measured temperature stands before it is asked about again. Practice. */
const TEMP_HOLDS_DAYS = { heated: 60, unheated: 7 };

/** Outdoor tubs follow the weather: they have no temperature that is set. */
const isUnheated = ({ kind }: Pick<Tank, 'kind'>) => kind === 'outdoor tub';

/** Whether the last measured temperature is too old to go by on a day; false where none was measured. */
export function tempIsOld(tank: Pick<Tank, 'kind' | 'lastTemp'>, today: string): boolean {
  if (tank.lastTemp === null) return isUnheated(tank);
  const holds = isUnheated(tank) ? TEMP_HOLDS_DAYS.unheated : TEMP_HOLDS_DAYS.heated;
  return daysBetween(tank.lastTemp.day, today) > holds;
}

/** The temperature that needs follow: the one last measured, else the one entered for the tank. */
export const temperatureOf = ({ lastTemp, tempC }: Pick<Tank, 'lastTemp' | 'tempC'>): number =>
  lastTemp?.tempC ?? tempC;
