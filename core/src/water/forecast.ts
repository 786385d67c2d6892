import { daysOf, MODEL_OFF, quantile, type WaterFit } from './course';
import type { Change } from './sawTooth';

/** What is forecast of a day, with the band that holds it nine times of ten. */
export interface WaterDay {
  before: number;
  after: number;
  low: number;
  high: number;
}

/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/** One day's food shows in the water more or less than another's, as a share. Assumption. */
const DAY_OFF = 0.2;

/**
 * From today on, day by day, with the band of what is believed.
 * @param foodAdds what the food of a day from today adds by its protein, mg/L
 * @param changes  that are planned, by days from today
 */
export function forecastWater(
  { ways }: Pick<WaterFit, 'ways'>,
  days: number,
  foodAdds: (day: number) => number,
  changes: readonly Change[],
): WaterDay[] {
  const now = Float64Array.from(ways, ({ mgL }) => mgL);
  const at = daysOf({ days, foodAdds, changes, start: null });
  let variance = 0;
  return Array.from({ length: days }, (_, day) => {
    const before = now.reduce((sum, mgL) => sum + mgL, 0) / now.length;
    const sorted = Float64Array.from(now).sort();
    const noise = BAND * Math.hypot(Math.sqrt(variance), MODEL_OFF * before);
    const low = before - Math.hypot(before - quantile(sorted, 0.05), noise);
    const high = before + Math.hypot(quantile(sorted, 0.95) - before, noise);
    let after = 0;
    ways.forEach(({ production, uptakeMgL, never }, way) => {
      const changed = never ? now[way]! : now[way]! * at.keeps[day]! + at.brings[day]!;
      after += changed / ways.length;
      now[way] = Math.max(0, changed + production * at.food[day]! - uptakeMgL);
    });
    variance = variance * at.keeps[day]! ** 2 + (DAY_OFF * at.food[day]!) ** 2;
    return { before, after, low: Math.max(0, low), high };
  });
}
