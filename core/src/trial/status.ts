import type { GrowthTask, Weighed } from '../growth/status';
import { usualLength } from '../growth/usual';
import { byDay, sampleOf, type Sample } from '../growth/sample';
import { daysBetween } from '../round';
import { fishByWeeks } from './power';
import { beforeAfter, compared, type TrialRefusal, type TrialResult } from './result';

/** A group of a trial. */
export interface TrialSide {
  species: GrowthTask['species'];
  tempC: number;
  count: number;
  measured: readonly Weighed[];
}

export interface TrialTask {
  /** YYYY-MM-DD */
  from: string;
  /** Of one tank the day on which its diet was changed; null of siblings. */
  changedOn: string | null;
  /** The day on which it was ended, or today. */
  upTo: string;
  weeks: number;
  /** The difference in growth that is worth seeing, as a share. */
  difference: number;
  /** One side of a tank alone; the sides of siblings. */
  sides: readonly TrialSide[];
  /** Tubs on each side. */
  tubsEach: number;
}

export interface SideStatus {
  /** The sample nearest to the beginning, up to a week before it, and the latest since. */
  begin: (Sample & { day: string }) | null;
  last: (Sample & { day: string }) | null;
  count: number;
}

export interface TrialStatus {
  weeksDone: number;
  sides: SideStatus[];
  /** Fish on each side that show the difference after so many weeks; null where no number does. */
  needed: { weeks: number; each: number | null }[];
  /** What that is computed with: the spread between fish, and what a week grows. */
  basis: { cv: number; cvMeasured: boolean; growsCm: number; lengthCm: number };
  /** Whether so many are there and were measured; null before anything was. */
  enough: boolean | null;
  /** The sides differed before it began: what differs at the end may come from there. */
  apart: boolean;
  result: TrialResult | { refused: TrialRefusal | 'unmeasured' };
}

/** Weeks that are looked at beside the planned ones. */
export const LOOKED_AT_WEEKS = [2, 4, 6, 8, 12, 16];
/** Fish of one clutch differ so much where nobody measured them. Assumption. */
export const USUAL_CV = 0.12;
/** A sample of so many days before still shows how it began. Assumption. */
const BEGIN_DAYS = 7;

type Dated = Sample & { day: string };

/**
 * How a trial stands: who was measured, how many fish it takes, and what it showed so far.
 * @throws RangeError without a side, or for measurements that no fish has
 */
export function computeTrialStatus(task: TrialTask): TrialStatus {
  const { from, upTo, weeks, difference, tubsEach } = task;
  const sampled = task.sides.map(samplesOf);
  const sides = task.sides.map(({ count }, at): SideStatus => {
    const samples = sampled[at]!.filter(({ day }) => day <= upTo);
    const begin =
      samples.filter(({ day }) => day <= from && daysBetween(day, from) <= BEGIN_DAYS).at(-1) ??
      samples.find(({ day }) => day > from && daysBetween(from, day) <= BEGIN_DAYS) ??
      null;
    const last = samples.filter(({ day }) => day > (begin?.day ?? from)).at(-1) ?? null;
    return { begin, last, count };
  });
  const basis = basisOf(task.sides[0]!, sides, sampled[0]!);
  const plan = { ...basis, difference };
  const needed = fishByWeeks(
    plan,
    [...new Set([...LOOKED_AT_WEEKS, weeks])].sort((a, b) => a - b),
    tubsEach,
  );
  const each = needed.find((one) => one.weeks === weeks)!.each;
  const seen = sides.map(({ last }) => last?.n ?? 0);
  return {
    weeksDone: Math.max(0, daysBetween(from, upTo)) / 7,
    sides,
    needed,
    basis,
    enough: seen.every((n) => n === 0) ? null : each !== null && seen.every((n) => n >= each),
    apart: beganApart(sides),
    result: resultOf(task, sides, sampled),
  };
}

const samplesOf = ({ measured, count }: TrialSide): Dated[] =>
  byDay(measured).map(({ day, values }) => ({ day, ...sampleOf(values, Math.max(1, count)) }));

function basisOf(
  { species, tempC, measured }: TrialSide,
  sides: readonly SideStatus[],
  samples: readonly Dated[],
): TrialStatus['basis'] {
  const known = sides.flatMap(({ begin, last }) => [begin, last]).filter((one) => one !== null);
  const spread = known.flatMap(({ cv }) => cv ?? []);
  const start = sides[0]?.begin ?? samples.at(-1) ?? null;
  const lengthCm = start?.mean ?? measured.at(-1)?.lengthCm ?? species.adultLengthCm / 3;
  const cv = spread.length > 0 ? spread.reduce((sum, one) => sum + one, 0) / spread.length : null;
  return {
    lengthCm,
    cv: Math.min(1, Math.max(0.01, cv ?? USUAL_CV)),
    cvMeasured: cv !== null,
    growsCm: usualLength(species, tempC, lengthCm, 7) - lengthCm,
  };
}

function beganApart(sides: readonly SideStatus[]): boolean {
  const [first, second] = sides;
  if (!first?.begin || !second?.begin) return false;
  const report = compared(first.begin, second.begin);
  return !('refused' in report) && report.says !== 'none';
}

function resultOf(
  { from, changedOn, upTo, sides: [side], tubsEach }: TrialTask,
  sides: readonly SideStatus[],
  sampled: readonly (readonly Dated[])[],
): TrialStatus['result'] {
  if (changedOn === null) {
    const [first, second] = sides;
    if (!first?.last || !second?.last) return { refused: 'unmeasured' };
    return compared(first.last, second.last, tubsEach);
  }
  const { species, tempC } = side!;
  const samples = sampled[0]!.filter(({ day }) => day >= from && day <= upTo);
  // The sample next to the change ends the first span and begins the second.
  const middle = [...samples].sort(
    (a, b) => Math.abs(daysBetween(a.day, changedOn)) - Math.abs(daysBetween(b.day, changedOn)),
  )[0];
  const [start, end] = [samples[0], samples.at(-1)];
  if (!start || !middle || !end || start === middle || middle === end) {
    return { refused: 'unmeasured' };
  }
  const span = (of: Dated, to: Dated) => {
    const days = daysBetween(of.day, to.day);
    return { from: of, to, days, usualCm: usualLength(species, tempC, of.mean, days) - of.mean };
  };
  return beforeAfter(span(start, middle), span(middle, end));
}
