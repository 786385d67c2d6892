import {
  daysOf,
  MODEL_OFF,
  type Days,
  type UptakePrior,
  type WaterCourse,
  type WaterFit,
  type WaterTest,
  type WaterWay,
} from './course';
import { testSd } from './testError';

/** Before any test: as the protein says, give or take more than half of it; never more than this. Assumptions. */
const PRODUCTION = { mean: 1, sd: 0.6, max: 2.5 };
/** Tests are off more often than by the normal law: Student’s t of so many degrees. Assumption. */
const T_DEGREES = 7;
/** Points along what a day adds on the whole, uptake, and the beginning; first wide, then where it is likely. */
const COARSE = { net: 31, uptake: 5, start: 5 };
const FINE = { net: 31, uptake: 7, start: 5 };
/** The fine points reach so many standard deviations to each side. */
const REACH = 3.5;
/** A test alone may be so many of its standard deviations off. */
const START_REACH = 3;
/** So many ways stand for all. */
export const WAYS = 240;

/** How far a test may be off what is there, mg/L. */
export const sdAt = (mgL: number) => Math.hypot(testSd(mgL), MODEL_OFF * mgL);

export type Weighed = Omit<WaterFit, 'odd'>;

/**
 * All ways over a grid, each weighed by the prior and the tests.
 * @param jumpOn a test of this day begins a new trajectory
 */
export function weigh(
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
