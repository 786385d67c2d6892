import { sawTooth, type Change } from './sawTooth';
import { testSd } from './testError';

/** A test of the water on a day. */
export interface WaterTest {
  day: number;
  mgL: number;
  /** Confirmed by who tested: it is believed however odd. */
  sure?: boolean;
}

/** What is believed of a tank from its tests, against what its food adds. */
export interface WaterFit {
  /** What is really added, times what the food’s protein says. */
  production: number;
  /** What plants and all else take up, mg/L a day. */
  uptakeMgL: number;
  /** Standard deviations, and how they go together. */
  sd: { production: number; uptakeMgL: number };
  covariance: number;
  /** Tests that lie so far from the rest that they are to be asked about: by their place. */
  odd: number[];
  /** Spans between tests that told something. */
  spans: number;
}

/** Before any test: as the protein says, give or take a third; plants take half a mg/L a day. Assumptions. */
const PRIOR = { production: 1, productionSd: 0.35, uptake: 0.5, uptakeSd: 0.7 };
/** From so many standard deviations on a test is asked about. */
const ODD_FROM = 3.5;

/**
 * Real production and uptake of a tank, from what was tested between changes.
 * @param tests    in order of their days
 * @param foodAdds what the food of a day adds by its protein, mg/L
 * @param changes  that were made
 * @param filled   what filling up after evaporation adds on a day, mg/L: salts stay, and the new water brings its own
 * @returns least squares with a prior, so that no test at all says what is assumed
 */
export function fitWater(
  tests: readonly WaterTest[],
  foodAdds: (day: number) => number,
  changes: readonly Change[],
  filled: (day: number) => number = () => 0,
): WaterFit {
  const all = spansOf(tests, foodAdds, changes, filled);
  const first = solve(all);
  // A test that does not fit is in two spans: asked about, and not believed until it is confirmed.
  const odd = oddOf(tests, all, first);
  const kept =
    odd.length > 0
      ? spansOf(
          tests.filter((_, at) => !odd.includes(at)),
          foodAdds,
          changes,
          filled,
        )
      : all;
  return { ...solve(kept), odd, spans: kept.length };
}

/** From one test to the next, what was added is linear in production and in uptake. */
interface Span {
  /** Place of the test that it ends with. */
  to: number;
  rose: number;
  byFood: number;
  byUptake: number;
  sd: number;
}

function spansOf(
  tests: readonly WaterTest[],
  foodAdds: (day: number) => number,
  changes: readonly Change[],
  filled: (day: number) => number,
): Span[] {
  const spans: Span[] = [];
  for (let to = 1; to < tests.length; to += 1) {
    const [from, end] = [tests[to - 1]!, tests[to]!];
    const days = end.day - from.day;
    if (days <= 0) continue;
    const within = changes
      .filter(({ day }) => day >= from.day && day < end.day)
      .map((change) => ({ ...change, day: change.day - from.day }));
    const last = (start: number, adds: (day: number) => number, source: boolean) =>
      sawTooth(
        start + FAR,
        days,
        adds,
        within.map((one) => ({ ...one, sourceMgL: (source ? one.sourceMgL : 0) + FAR })),
      ).at(-1)!.after - FAR;
    const plain = last(from.mgL, (day) => filled(from.day + day), true);
    spans.push({
      to,
      rose: end.mgL - plain,
      byFood: last(0, (day) => foodAdds(from.day + day), false),
      byUptake: -last(0, () => 1, false),
      sd: Math.hypot(testSd(from.mgL), testSd(end.mgL)),
    });
  }
  return spans;
}

/** Far enough from nothing that no uptake is cut off: the sums are to stay linear. */
const FAR = 1e5;

function solve(spans: readonly Span[]): Omit<WaterFit, 'odd' | 'spans'> {
  // Normal equations of the spans and the prior.
  let a = 1 / PRIOR.productionSd ** 2;
  let c = 1 / PRIOR.uptakeSd ** 2;
  let b = 0;
  let p = PRIOR.production * a;
  let u = PRIOR.uptake * c;
  for (const { byFood, byUptake, rose, sd } of spans) {
    const weight = 1 / sd ** 2;
    a += weight * byFood * byFood;
    b += weight * byFood * byUptake;
    c += weight * byUptake * byUptake;
    p += weight * byFood * rose;
    u += weight * byUptake * rose;
  }
  const det = a * c - b * b;
  return {
    production: Math.max(0, (c * p - b * u) / det),
    uptakeMgL: Math.max(0, (a * u - b * p) / det),
    sd: { production: Math.sqrt(c / det), uptakeMgL: Math.sqrt(a / det) },
    covariance: -b / det,
  };
}

function oddOf(
  tests: readonly WaterTest[],
  spans: readonly Span[],
  fit: ReturnType<typeof solve>,
): number[] {
  const off = new Map(
    spans.map(({ to, rose, byFood, byUptake, sd }) => [
      to,
      (rose - fit.production * byFood - fit.uptakeMgL * byUptake) / sd,
    ]),
  );
  return tests.flatMap(({ sure }, at) => {
    if (sure) return [];
    const [into, out] = [off.get(at), off.get(at + 1)];
    // One way up to it and the other way down from it; of the last only the way to it is known.
    if (into === undefined || Math.abs(into) < ODD_FROM) return [];
    if (out === undefined) return at === tests.length - 1 ? [at] : [];
    return Math.sign(out) !== Math.sign(into) && Math.abs(out) > ODD_FROM / 2 ? [at] : [];
  });
}

/** What is forecast of a day, with the band that holds it nine times of ten. */
export interface WaterDay {
  before: number;
  after: number;
  low: number;
  high: number;
}

/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;

/**
 * From a last test on, day by day, with the band of what is believed.
 * @param last     the latest test; null begins at what the new water has
 * @param foodAdds what the food of a day from then adds by its protein, mg/L
 * @param filled   what filling up adds on a day, mg/L
 */
export function forecastWater(
  fit: WaterFit,
  last: number | null,
  days: number,
  foodAdds: (day: number) => number,
  changes: readonly Change[],
  filled: (day: number) => number = () => 0,
): WaterDay[] {
  const start = last ?? changes[0]?.sourceMgL ?? 0;
  const mean = sawTooth(
    start,
    days,
    (day) => fit.production * foodAdds(day) - fit.uptakeMgL + filled(day),
    changes,
  );
  const none = changes.map((change) => ({ ...change, sourceMgL: FAR }));
  const per = (adds: (day: number) => number) =>
    sawTooth(FAR, days, adds, none).map(({ before }) => before - FAR);
  const byFood = per(foodAdds);
  const byUptake = per(() => -1);
  const byStart = sawTooth(
    1,
    days,
    () => 0,
    changes.map((one) => ({ ...one, sourceMgL: 0 })),
  );
  const sd0 = testSd(start);
  return mean.map(({ before, after }, day) => {
    const variance =
      (byStart[day]!.before * sd0) ** 2 +
      (byFood[day]! * fit.sd.production) ** 2 +
      (byUptake[day]! * fit.sd.uptakeMgL) ** 2 +
      2 * byFood[day]! * byUptake[day]! * fit.covariance;
    const sd = Math.sqrt(Math.max(0, variance));
    return { before, after, low: Math.max(0, before - BAND * sd), high: before + BAND * sd };
  });
}
