import { forecast, type Standing } from './forecast';
import { hatchHours } from './hatch';
import { gramsOfOne, logisticOf } from './kind';
import { ageModelOf, isCrowding } from './models';
import type { VesselStand } from './vessel';
import { GIVES_NOTHING } from './vocabulary';

/** A batch that is only kept is spread over so many days. Assumption. */
const KEPT_DAYS = 14;

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
  const { kind, measure, keptG } = vessel;
  const tempOn = (day: number) => stand.tempAhead[day] ?? stand.tempAhead.at(-1) ?? stand.tempC;
  if (kind.model === 'hatch') {
    // Set up again as soon as it is harvested, it gives once in its hours.
    const every = Math.max(1, Math.ceil(hatchHours(stand.tempC) / 24));
    return Array<number>(days).fill(stand.fullG / every);
  }
  if (!isCrowding(kind) && ageModelOf(kind).isStore) {
    return Array.from({ length: days }, (_, day) => (day < KEPT_DAYS ? keptG / KEPT_DAYS : 0));
  }
  const ahead = forecast(vessel, days, tempOn);
  if (!isCrowding(kind)) return ahead.map(({ givesG }) => givesG);
  return ahead.map(({ day, givesG }) => {
    const model = logisticOf(kind, measure, tempOn(day));
    // Down to where it grows most, once a day: what it grows by until the next.
    const lasting = model.capacity * Math.tanh(model.rPerDay / 4) * gramsOfOne(kind);
    return Math.min(givesG, lasting);
  });
}
