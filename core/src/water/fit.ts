import type { Change } from './sawTooth';
import { testSd } from './testError';

/** A test of the water on a day. */
export interface WaterTest {
  day: number;
  mgL: number;
  /** Confirmed by who tested: it is believed however odd. */
  sure?: boolean;
}

/** What happened to a tank's water, by days from 0 up to today. */
export interface WaterCourse {
  /** Days from the beginning until today. */
  days: number;
  /** What the food of a day adds by its protein, mg/L. */
  foodAdds: (day: number) => number;
  /** What filling up after evaporation adds on a day, mg/L: salts stay, and the new water brings its own. */
  filled?: (day: number) => number;
  changes: readonly Change[];
  /** The first of them on which there was a tank; 0 where it is left out. */
  from?: number;
  /** What is in it at its beginning, mg/L, give or take; null where only a test can tell. */
  start: { mgL: number; sd: number } | null;
}

/** What is expected of plants before any test, mg/L a day. */
export interface UptakePrior {
  mgL: number;
  sd: number;
}

/** One way in which it may be: all of them, each as likely, are what is believed. */
export interface WaterWay {
  production: number;
  uptakeMgL: number;
  /** Nitrate today, before a change. */
  mgL: number;
  /** Its water is never changed, where that may be: no planned change touches it. */
  never?: true;
}

/** What is believed of a tank from its tests, against what its food adds. */
export interface WaterFit {
  /** What is really added, times what the food’s protein says. */
  production: number;
  /** What plants and all else take up, mg/L a day. */
  uptakeMgL: number;
  sd: { production: number; uptakeMgL: number };
  /** Tests that were believed. */
  tests: number;
  /** Tests that lie so far from the rest that they are to be asked about: by their place. */
  odd: number[];
  ways: WaterWay[];
  /** Nitrate at the beginning of each day, from the first that is known of up to today; NaN before. */
  path: Float64Array;
  /** How well tests and priors agree with this course, as a logarithm: for comparing courses over the same tests. */
  evidence: number;
}

/** Before any test: as the protein says, give or take more than half of it; never more than this. Assumptions. */
const PRODUCTION = { mean: 1, sd: 0.6, max: 2.5 };
/** From so many standard deviations on a test is asked about. */
const ODD_FROM = 3.5;
/** Tests are off more often than by the normal law: Student’s t of so many degrees. Assumption. */
const T_DEGREES = 7;
/** What a model of a tank leaves out, as a share of what is in it. Assumption. */
export const MODEL_OFF = 0.025;
/** Points along what a day adds on the whole, uptake, and the beginning; first wide, then where it is likely. */
const COARSE = { net: 31, uptake: 5, start: 5 };
const FINE = { net: 31, uptake: 7, start: 5 };
/** The fine points reach so many standard deviations to each side. */
const REACH = 3.5;
/** A test alone may be so many of its standard deviations off. */
const START_REACH = 3;
/** So many tests tell by themselves where it began: fewer rest on what was assumed before them. Assumption. */
export const TELLING = 3;
/** So many ways stand for all. */
const WAYS = 240;

/**
 * Real production and uptake of a tank, and what is in it: one trajectory of which every test is an
 * observation with its error. All ways are tried over a grid that keeps to what can be (production from
 * 0 to 2.5, no uptake below nothing, no nitrate below nothing) and weighed by the prior and the tests.
 * A test that was confirmed though it lies far from the rest begins a new trajectory: something
 * happened that was not written down.
 * @param tests  in order of their days, 0 to `course.days`
 * @param uptake what plants may take; a deviation of 0 fixes it
 */
export function fitWater(
  tests: readonly WaterTest[],
  course: WaterCourse,
  uptake: UptakePrior,
): WaterFit {
  const all = tests.map((test, at) => ({ ...test, at }));
  const first = weigh(all, course, uptake);
  const far = all.filter((test) => Math.abs(off(test, first.path)) > ODD_FROM);
  if (far.length === 0) return { ...first, odd: [] };
  // Where most tests contradict the course, it is the course that is wrong: the last test begins anew.
  const contradicted = all.length >= TELLING && far.length > all.length / 2;
  const sure = far.filter((test) => test.sure);
  const odd = contradicted ? [] : far.filter((test) => !test.sure).map(({ at }) => at);
  const kept = all.filter(({ at }) => !odd.includes(at));
  const jumpOn = contradicted ? all.at(-1)!.day : sure.at(-1)?.day;
  const { evidence } = first;
  const fit = { ...weigh(kept, course, uptake, jumpOn), odd, evidence };
  if (jumpOn === undefined) return fit;
  // Until then it went as the tests of then say.
  const before = kept.filter(({ day }) => day < jumpOn);
  const { path } = weigh(before, course, uptake);
  fit.path.set(path.subarray(0, jumpOn));
  return fit;
}

/**
 * The fit where it is unknown whether the changes of the course took place or none ever did: both, each
 * weighed by how well the tests agree with it.
 * @param odds that they took place, before any test
 */
export function fitUnknownChanges(
  tests: readonly WaterTest[],
  course: WaterCourse,
  uptake: UptakePrior,
  odds: number,
): WaterFit {
  const one = fitWater(tests, course, uptake);
  const still = fitWater(tests, { ...course, changes: [] }, uptake);
  const other: WaterFit = {
    ...still,
    ways: still.ways.map((way): WaterWay => ({ ...way, never: true })),
  };
  const first = 1 / (1 + Math.exp(other.evidence - one.evidence) / odds);
  const likelier = first >= 0.5 ? one : other;
  // Where only one of them finds a test odd, the likelier decides: they rest on different tests.
  if (one.odd.join() !== other.odd.join()) return likelier;
  const mix = (a: number, b: number) => first * a + (1 - first) * b;
  const spread = (of: (fit: WaterFit) => number, sd: (fit: WaterFit) => number) =>
    Math.sqrt(mix(sd(one) ** 2, sd(other) ** 2) + first * (1 - first) * (of(one) - of(other)) ** 2);
  const ofOne = Math.round(first * WAYS);
  return {
    ...likelier,
    production: mix(one.production, other.production),
    uptakeMgL: mix(one.uptakeMgL, other.uptakeMgL),
    sd: {
      production: spread(
        (fit) => fit.production,
        (fit) => fit.sd.production,
      ),
      uptakeMgL: spread(
        (fit) => fit.uptakeMgL,
        (fit) => fit.sd.uptakeMgL,
      ),
    },
    ways: [...evenly(one.ways, ofOne), ...evenly(other.ways, WAYS - ofOne)],
    path: one.path.map((mgL, day) => mix(mgL, other.path[day]!)),
  };
}

const evenly = <T>(all: readonly T[], count: number): T[] =>
  Array.from({ length: count }, (_, at) => all[Math.floor(((at + 0.5) * all.length) / count)]!);

/** How far a test lies from a path, in its standard deviations. */
function off({ day, mgL }: WaterTest, path: Float64Array): number {
  const there = path[day]!;
  return Number.isFinite(there) ? (mgL - there) / sdAt(there) : 0;
}

const sdAt = (mgL: number) => Math.hypot(testSd(mgL), MODEL_OFF * mgL);

type Weighed = Omit<WaterFit, 'odd'>;

/** @param jumpOn a test of this day begins a new trajectory */
function weigh(
  tests: readonly WaterTest[],
  course: WaterCourse,
  uptake: UptakePrior,
  jumpOn?: number,
): Weighed {
  const before = jumpOn === undefined ? [] : tests.filter(({ day }) => day < jumpOn);
  const last = jumpOn === undefined ? tests : tests.filter(({ day }) => day >= jumpOn);
  const parts = [
    ...(before.length > 0 ? [partOf(before, course, before.at(-1)!.day)] : []),
    partOf(last, jumpOn === undefined ? course : { ...course, start: null }, course.days),
  ];
  const food = meanFood(course, parts[0]!.from);
  const uptakeMost = uptake.sd > 0 ? uptake.mgL + 4 * uptake.sd : uptake.mgL;
  const wide: Box = {
    net: [-uptakeMost, PRODUCTION.max * food],
    uptake: [uptake.sd > 0 ? 0 : uptake.mgL, uptakeMost],
    starts: parts.map(({ start }) => [
      Math.max(0, start.mgL - START_REACH * start.sd),
      start.mgL + START_REACH * start.sd,
    ]),
  };
  const coarse = gridOf(wide, COARSE, parts, course, food, uptake);
  const near = narrowed(wide, coarse);
  const fine = gridOf(near, FINE, parts, course, food, uptake);
  // Where next to nothing is fed, what can be is a line that fine points may all miss.
  const [points, evidence] =
    fine.length > 0
      ? [fine, evidenceOf(fine, near, FINE)]
      : [coarse, evidenceOf(coarse, wide, COARSE)];
  return { ...summed(points, parts.at(-1)!, course), tests: tests.length, evidence };
}

/** The sum over the box of what each of its points says, as a logarithm. */
function evidenceOf(points: readonly Point[], box: Box, counts: typeof COARSE): number {
  const step = ([low, high]: Span, count: number) =>
    high - low < 1e-9 ? 0 : Math.log((high - low) / (count - 1));
  return (
    logSum(points.map(({ log }) => log)) +
    step(box.net, counts.net) +
    step(box.uptake, counts.uptake) +
    step(box.starts.at(-1)!, counts.start)
  );
}

/** A stretch of days that is one trajectory. */
interface Part {
  from: number;
  to: number;
  start: { mgL: number; sd: number; prior: boolean };
  tests: readonly WaterTest[];
}

function partOf(tests: readonly WaterTest[], { start, from = 0 }: WaterCourse, to: number): Part {
  const [begin] = tests;
  if (start) {
    const within = tests.filter(({ day }) => day >= from);
    return { from, to, start: { ...start, prior: true }, tests: within };
  }
  // Without another beginning the first test is it.
  const mgL = begin?.mgL ?? 0;
  return { from: begin?.day ?? to, to, start: { mgL, sd: sdAt(mgL), prior: false }, tests };
}

function meanFood({ days, foodAdds }: WaterCourse, from: number): number {
  let sum = 0;
  for (let day = from; day < days; day += 1) sum += foodAdds(day);
  return days > from ? sum / (days - from) : 0;
}

interface Box {
  /** What a day adds on the whole, mg/L: how production and uptake go together is known best. */
  net: Span;
  uptake: Span;
  starts: Span[];
}
type Span = readonly [low: number, high: number];

interface Point {
  net: number;
  uptakeMgL: number;
  production: number;
  /** Of each part. */
  starts: number[];
  log: number;
}

const pointsOf = ([low, high]: Span, count: number): number[] =>
  high - low < 1e-9
    ? [low]
    : Array.from({ length: count }, (_, at) => low + ((high - low) * at) / (count - 1));

function gridOf(
  box: Box,
  { net: nets, uptake: uptakes, start: starts }: typeof COARSE,
  parts: readonly Part[],
  course: WaterCourse,
  food: number,
  prior: UptakePrior,
): Point[] {
  const points: Point[] = [];
  const days = daysOf(course);
  const path = new Float64Array(course.days + 1);
  for (const uptakeMgL of pointsOf(box.uptake, uptakes)) {
    for (const { net, production } of alongOf(box.net, uptakeMgL, food, nets)) {
      const known =
        -0.5 * ((production - PRODUCTION.mean) / PRODUCTION.sd) ** 2 -
        (prior.sd > 0 ? 0.5 * ((uptakeMgL - prior.mgL) / prior.sd) ** 2 : 0);
      let ways: { starts: number[]; log: number }[] = [{ starts: [], log: known }];
      parts.forEach((part, at) => {
        const own = pointsOf(box.starts[at]!, starts).map((start) => {
          run(days, production, uptakeMgL, start, part, path);
          return { start, log: likelihood(part, start, path) };
        });
        const isLast = at === parts.length - 1;
        // Only where it stands now matters of the last; of what went before, how well it can be told.
        ways = isLast
          ? ways.flatMap((way) =>
              own.map(({ start, log }) => ({
                starts: [...way.starts, start],
                log: way.log + log,
              })),
            )
          : ways.map((way) => ({
              starts: [...way.starts, Number.NaN],
              log: way.log + logSum(own.map(({ log }) => log)),
            }));
      });
      for (const { starts: own, log } of ways) {
        points.push({ net, uptakeMgL, production, starts: own, log });
      }
    }
  }
  return points;
}

/** Points of what a day adds on the whole, with a production that can be. */
function alongOf(
  [low, high]: Span,
  uptakeMgL: number,
  food: number,
  count: number,
): { net: number; production: number }[] {
  // Without food there is nothing to tell production by: it stays as it was expected.
  if (food <= 0) {
    const all = pointsOf([0, PRODUCTION.max], count);
    return all.map((production) => ({ net: -uptakeMgL, production }));
  }
  const can: Span = [Math.max(low, -uptakeMgL), Math.min(high, PRODUCTION.max * food - uptakeMgL)];
  if (can[0] > can[1]) return [];
  return pointsOf(can, count).map((net) => ({ net, production: (net + uptakeMgL) / food }));
}

const logSum = (logs: readonly number[]) => {
  const max = Math.max(...logs);
  return max + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - max), 0));
};

interface Days {
  food: Float64Array;
  filled: Float64Array;
  /** What a day's changes leave of what is there, and what they bring. */
  keeps: Float64Array;
  brings: Float64Array;
}

/** A course day by day, as numbers. */
export function daysOf({ days, foodAdds, filled = () => 0, changes }: WaterCourse): Days {
  const keeps = new Float64Array(days).fill(1);
  const brings = new Float64Array(days);
  for (const { day, share, sourceMgL } of changes) {
    if (day < 0 || day >= days) continue;
    keeps[day]! *= 1 - share;
    brings[day] = brings[day]! * (1 - share) + sourceMgL * share;
  }
  return {
    food: Float64Array.from({ length: days }, (_, day) => foodAdds(day)),
    filled: Float64Array.from({ length: days }, (_, day) => filled(day)),
    keeps,
    brings,
  };
}

/** One trajectory into `path`: a day begins, its water is changed, and what is fed comes into it. */
function run(
  { food, filled, keeps, brings }: Days,
  production: number,
  uptakeMgL: number,
  start: number,
  { from, to }: Part,
  path: Float64Array,
): void {
  let mgL = start;
  path[from] = mgL;
  for (let day = from; day < to; day += 1) {
    mgL = mgL * keeps[day]! + brings[day]! + production * food[day]! - uptakeMgL + filled[day]!;
    if (mgL < 0) mgL = 0;
    path[day + 1] = mgL;
  }
}

function likelihood({ tests, start }: Part, begins: number, path: Float64Array): number {
  let log = start.prior ? -0.5 * ((begins - start.mgL) / start.sd) ** 2 : 0;
  for (const { day, mgL } of tests) {
    const there = path[day]!;
    const sd = sdAt(there);
    const z = (mgL - there) / sd;
    log -= Math.log(sd) + ((T_DEGREES + 1) / 2) * Math.log1p(z ** 2 / T_DEGREES);
  }
  return log;
}

/** Where it is likely, within what can be. */
function narrowed(box: Box, points: readonly Point[]): Box {
  const weights = weightsOf(points);
  const span = (of: (point: Point) => number, [low, high]: Span, count: number): Span => {
    const { mean, sd } = momentsOf(points, weights, of);
    // Between two coarse points nothing is known: at least one of them to each side.
    const reach = Math.max(REACH * sd, (high - low) / (count - 1));
    return [Math.max(low, mean - reach), Math.min(high, mean + reach)];
  };
  return {
    net: span(({ net }) => net, box.net, COARSE.net),
    uptake: span(({ uptakeMgL }) => uptakeMgL, box.uptake, COARSE.uptake),
    starts: box.starts.map((start, at) =>
      at < box.starts.length - 1 ? start : span(({ starts }) => starts[at]!, start, COARSE.start),
    ),
  };
}

function weightsOf(points: readonly Point[]): Float64Array {
  let max = -Infinity;
  for (const { log } of points) max = Math.max(max, log);
  const weights = Float64Array.from(points, ({ log }) => Math.exp(log - max));
  const sum = weights.reduce((all, weight) => all + weight, 0);
  return weights.map((weight) => weight / sum);
}

function momentsOf(
  points: readonly Point[],
  weights: Float64Array,
  of: (point: Point) => number,
): { mean: number; sd: number } {
  let mean = 0;
  points.forEach((point, at) => (mean += weights[at]! * of(point)));
  let variance = 0;
  points.forEach((point, at) => (variance += weights[at]! * (of(point) - mean) ** 2));
  return { mean, sd: Math.sqrt(variance) };
}

function summed(
  points: readonly Point[],
  part: Part,
  course: WaterCourse,
): Omit<Weighed, 'tests' | 'evidence'> {
  const weights = weightsOf(points);
  const production = momentsOf(points, weights, (point) => point.production);
  const uptake = momentsOf(points, weights, (point) => point.uptakeMgL);
  const days = daysOf(course);
  const path = new Float64Array(course.days + 1);
  const mean = new Float64Array(course.days + 1).fill(Number.NaN, 0, part.from);
  const ways = drawn(points, weights).map((point): WaterWay => {
    run(days, point.production, point.uptakeMgL, point.starts.at(-1)!, part, path);
    for (let day = part.from; day <= course.days; day += 1) mean[day]! += path[day]! / WAYS;
    return {
      production: point.production,
      uptakeMgL: point.uptakeMgL,
      mgL: path[course.days]!,
    };
  });
  return {
    production: production.mean,
    uptakeMgL: uptake.mean,
    sd: { production: production.sd, uptakeMgL: uptake.sd },
    ways,
    path: mean,
  };
}

/** Points as often as they are likely, at even steps through all of them: always the same. */
function drawn(points: readonly Point[], weights: Float64Array): Point[] {
  const some: Point[] = [];
  let sum = 0;
  points.forEach((point, at) => {
    sum += weights[at]!;
    while (some.length < WAYS && (some.length + 0.5) / WAYS < sum) some.push(point);
  });
  while (some.length < WAYS) some.push(points.at(-1)!);
  return some;
}

/** The value that a share of all ways stays under. */
export const quantileOf = (
  ways: readonly WaterWay[],
  of: (way: WaterWay) => number,
  share: number,
): number => quantile(Float64Array.from(ways, of).sort(), share);

/** The value that a share of sorted ones stays under. */
export const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
