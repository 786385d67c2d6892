import { assertRange } from '../units';
import type { CultureDay, ForecastStart } from './types';
import { wayOf } from './ways';

/**
 * A vessel for some days ahead.
 * @param tempOn water temperature on a day from now, °C
 * @param taken  grams that are to be taken on a day from now
 * @throws RangeError for more than a year
 */
export function forecast(
  vessel: ForecastStart,
  days: number,
  tempOn: (day: number) => number,
  taken: (day: number) => number = () => 0,
): CultureDay[] {
  assertRange('days ahead', days, 1, 366);
  const ahead = wayOf(vessel.kind).forecast(vessel, days, tempOn, taken);
  return vessel.idle ? ahead.map((one) => ({ ...one, givesG: 0 })) : ahead;
}
