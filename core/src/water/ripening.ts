import { assertRange } from '../units';

/** A tank whose filter has not grown in yet. */
export interface Ripening {
  tempC: number;
  /** Total ammonia nitrogen that food adds on a day, mg/L. */
  addsOn: (day: number) => number;
  /** Share of the bacteria of a grown filter that it begins with: 0.001 new, 0.3 with a used sponge. */
  begun: number;
  /** Changes of water: share on a day; the new water has none of the three but `sourceNitrate`. */
  changes?: readonly { day: number; share: number }[];
  sourceNitrateN?: number;
}

/** Nitrogen in mg/L at the end of a day, as ammonia, as nitrite and as nitrate. */
export interface RipeningDay {
  tan: number;
  nitrite: number;
  nitrate: number;
}

/** Growth of the two groups of bacteria at 25 °C, 1/day: a generation in about one and two days. Starting values. */
const GROWTH = { ammonia: 0.5, nitrite: 0.36 };
/** They grow at half of that where there is so much for them, mg N/L. Starting values. */
const HALF = { ammonia: 0.5, nitrite: 0.5 };
/** What a grown filter takes up in a day at its most, mg N/L. Assumption. */
const GROWN_MG_L = 4;
/** They die back by so much a day where there is nothing. Assumption. */
const DIES = 0.03;
const Q10 = 2;
const STEPS = 24;

/**
 * Ammonia, nitrite and nitrate of a tank that ripens, day by day: first ammonia rises and falls, then
 * nitrite, as one group of bacteria after the other grows.
 * @throws RangeError for a temperature outside 0 to 40 °C, or a beginning that is none
 * Source: Monod growth of two groups of nitrifiers; rates are starting values. Nothing is lost: what was
 * added stands in one of the three, or went with the water.
 */
export function ripening(
  days: number,
  { tempC, addsOn, begun, changes = [], sourceNitrateN = 0 }: Ripening,
): RipeningDay[] {
  assertRange('water temperature in °C', tempC, 0, 40);
  assertRange('share of a grown filter', begun, 1e-6, 1);
  const warmth = Q10 ** ((Math.min(tempC, 30) - 25) / 10);
  let [tan, nitrite, nitrate] = [0, 0, sourceNitrateN];
  let [first, second] = [GROWN_MG_L * begun, GROWN_MG_L * begun];
  const report: RipeningDay[] = [];
  for (let day = 0; day < days; day += 1) {
    for (let step = 0; step < STEPS; step += 1) {
      tan += addsOn(day) / STEPS;
      const eats = (stock: number, there: number, half: number) =>
        Math.min(there, (stock * warmth * (there / (there + half))) / STEPS);
      const fromTan = eats(first, tan, HALF.ammonia);
      const fromNitrite = eats(second, nitrite, HALF.nitrite);
      tan -= fromTan;
      nitrite += fromTan - fromNitrite;
      nitrate += fromNitrite;
      first = grown(first, tan, HALF.ammonia, GROWTH.ammonia * warmth);
      second = grown(second, nitrite, HALF.nitrite, GROWTH.nitrite * warmth);
    }
    for (const change of changes) {
      if (change.day !== day) continue;
      tan *= 1 - change.share;
      nitrite *= 1 - change.share;
      nitrate = nitrate * (1 - change.share) + sourceNitrateN * change.share;
    }
    report.push({ tan, nitrite, nitrate });
  }
  return report;
}

/** Bacteria after a step: they live in the filter, and no change of water takes them. */
function grown(stock: number, there: number, half: number, rate: number): number {
  const grows = (rate * there) / (there + half) - DIES;
  return Math.min(GROWN_MG_L, Math.max(1e-9, stock * Math.exp(grows / STEPS)));
}

/** The first day from which on both stay under a level, mg N/L; null where that is not within the days. */
export function ripeOn(days: readonly RipeningDay[], underMgL = 0.25): number | null {
  const last = days.findLastIndex(({ tan, nitrite }) => tan >= underMgL || nitrite >= underMgL);
  return last + 1 < days.length ? last + 1 : null;
}
