import { slowAndFast } from '../brood/length';
import { hasOwnPair, massFromLength } from '../fish';
import { asRead, type Foreseen } from '../forecasts';
import { addDays, daysBetween } from '../round';
import { measured as known } from '../why';
import { fitCurve, lengthOn, reaches, type Curve, type Point, type Refusal } from './curve';
import { checkpointStatus, runtsOf, type Checkpoint, type CheckpointStatus } from './checkpoint';
import { conditionWord, relativeCondition, specificGrowthRate } from './rates';
import { byDay, sampleOf, type Measured, type Sample } from './sample';
import { daysFrom, usualLength, type Grown } from './usual';
import { sortingOf, type Sorting } from './sort';

/** A measurement, with the mean mass of one where they were weighed. */
export interface Weighed extends Measured {
  massG: number | null;
}

/** A group as far as its growth goes. */
export interface GrowthTask {
  species: Grown;
  tempC: number;
  /** How many it has. */
  count: number;
  measured: readonly Weighed[];
  today: string;
  /** The length that is waited for; null where none is. */
  targetCm: number | null;
  /** Lengths that it should have by an age. */
  checkpoints?: readonly Checkpoint[];
  /** The day from which ages count; null where it is not known. */
  bornOn?: string | null;
}

/** When a length is reached, and whether by the group’s own curve or as its species grows. */
export type Reaching =
  { day: string; from: string; to: string | null; by: 'curve' | 'kind' } | 'there' | 'never' | null;

export interface DaySample extends Sample {
  day: string;
  values: number[];
  /** Usual mass of one of that length, g. */
  massG: number;
}

/** How a group grows, from what was measured. */
export interface GrowthStatus {
  samples: DaySample[];
  curve: Curve | null;
  refused: Refusal | null;
  /** What its kind would have by now, from its first measurement on, cm; null without a second. */
  usualCm: number | null;
  against: 'ahead' | 'behind' | 'as usual' | 'unsure' | null;
  /** Between the last two samples, % of its mass a day, and of how many days. */
  growthRate: { perDay: number; days: number } | null;
  /** When the target is reached. */
  reached: Reaching;
  checkpoints: CheckpointStatus[];
  /** Of the last sample, fish so far behind the others that they are raised apart. */
  runts: number;
  sorting: Sorting | null;
  condition: { value: number; word: ReturnType<typeof conditionWord>; day: string } | null;
  /** Shorter than before by more than measuring is off: something is wrong, or other fish were measured. */
  shrank: { fromCm: number; toCm: number } | null;
}

/** Fish of one age differ in length by about this share. Practice. */
const USUAL_CV = 0.12;
/** Within this share of what is usual it is as usual. Assumption. */
const AS_USUAL = 0.05;

/** The same at the slowest and the fastest that healthy fish of its kind grow, nine times of ten. */
function usualBand(
  species: Grown,
  tempC: number,
  from: Sample,
  days: number,
): { slowCm: number; fastCm: number } {
  const { slow, fast } = slowAndFast(species);
  return {
    slowCm: usualLength(slow, tempC, from.low ?? from.mean, days),
    fastCm: usualLength(fast, tempC, from.high ?? from.mean, days),
  };
}

/** The status of a measured group. @throws RangeError for measurements that no fish has */
export function computeGrowthStatus(task: GrowthTask): GrowthStatus {
  const { species, tempC, count, today, targetCm, checkpoints = [], bornOn = null } = task;
  const samples = byDay(task.measured.filter(({ day }) => day <= today)).map(
    ({ day, values }): DaySample => {
      const sample = sampleOf(values, Math.max(1, count));
      return { ...sample, day, values, massG: massOf(species, sample.mean) };
    },
  );
  const first = samples[0];
  const last = samples.at(-1);
  const before = samples.at(-2);
  const points = samples.map(({ day, mean, n }): Point => ({
    day: daysBetween(first!.day, day),
    lengthCm: mean,
    n,
  }));
  const fitted = fitCurve(points, species.adultLengthCm * 1.1);
  const curve = 'curve' in fitted ? fitted.curve : null;
  const usualCm =
    first && last && last !== first
      ? usualLength(species, tempC, first.mean, daysBetween(first.day, last.day))
      : null;
  return {
    samples,
    curve,
    refused: 'refused' in fitted ? fitted.refused : null,
    usualCm,
    against:
      usualCm === null
        ? null
        : againstUsual(last!, first!, {
            usualCm,
            ...usualBand(species, tempC, first!, daysBetween(first!.day, last!.day)),
          }),
    growthRate: before && last ? rateOf(before, last) : null,
    reached: targetCm === null ? null : reachedBy(task, targetCm, samples, curve),
    checkpoints: checkpoints.map((checkpoint) =>
      checkpointStatus(
        checkpoint,
        bornOn,
        last,
        reachedBy(task, checkpoint.lengthCm, samples, curve),
        (fromCm, toCm) => daysFrom(species, tempC, fromCm, toCm),
      ),
    ),
    runts: last ? runtsOf(last) : 0,
    sorting: last ? sortingOf(last.values, last) : null,
    condition: conditionOf(task),
    shrank: before && last ? shrankFrom(before, last) : null,
  };
}

const massOf = (species: Grown, cm: number): number =>
  massFromLength(species, known('Mean length', Math.max(0.1, cm), 'cm')).massG.value;

/**
 * Against what its kind would have: only where neither the interval of the sample nor what healthy fish
 * differ by leaves a doubt.
 */
function againstUsual(
  last: Sample,
  first: Sample,
  { usualCm, slowCm, fastCm }: { usualCm: number; slowCm: number; fastCm: number },
): GrowthStatus['against'] {
  const near = Math.abs(last.mean / usualCm - 1) <= AS_USUAL;
  const within = last.mean >= slowCm && last.mean <= fastCm;
  if (last.low === null || last.high === null) return near ? 'as usual' : 'unsure';
  if (last.low > fastCm) return 'ahead';
  // Full-grown fish grow no more: they are not behind.
  if (last.high < slowCm && usualCm > first.mean * 1.02) return 'behind';
  return near || within ? 'as usual' : 'unsure';
}

/**
 * The mean length that a sample on a later day should have: by the group's own curve, else as its
 * species grows from the last sample on.
 * @returns null where nothing was measured, or the day has passed
 */
export function lengthAhead(task: GrowthTask, day: string): Foreseen | null {
  const { samples, curve } = computeGrowthStatus(task);
  const last = samples.at(-1);
  if (!last || day <= last.day) return null;
  const cv = last.cv ?? USUAL_CV;
  const sampleSd = (middle: number) => (cv * middle) / Math.sqrt(Math.max(1, last.n));
  if (curve) {
    const { cm, low, high } = lengthOn(curve, daysBetween(samples[0]!.day, day));
    return asRead({ low, middle: cm, high }, sampleSd(cm));
  }
  const days = daysBetween(last.day, day);
  const middle = usualLength(task.species, task.tempC, last.mean, days);
  const { slow, fast } = slowAndFast(task.species);
  const band = {
    low: usualLength(slow, task.tempC, last.mean, days),
    middle,
    high: usualLength(fast, task.tempC, last.mean, days),
  };
  // The sample that it starts from was one, too.
  return asRead(band, Math.hypot(sampleSd(last.mean), sampleSd(middle)));
}

function rateOf(before: DaySample, last: DaySample): GrowthStatus['growthRate'] {
  const days = daysBetween(before.day, last.day);
  return { perDay: specificGrowthRate(before.massG, last.massG, days), days };
}

function shrankFrom(before: DaySample, last: DaySample): GrowthStatus['shrank'] {
  if (last.high === null || before.low === null) return null;
  return last.high < before.low ? { fromCm: before.mean, toCm: last.mean } : null;
}

function reachedBy(
  { species, tempC, today }: GrowthTask,
  targetCm: number,
  samples: readonly DaySample[],
  curve: Curve | null,
): Reaching {
  const first = samples[0];
  const last = samples.at(-1);
  if (!first || !last) return null;
  if (last.mean >= targetCm) return 'there';
  if (curve) {
    const report = reaches(curve, targetCm);
    if (report) {
      const on = (day: number) => addDays(first.day, Math.round(day));
      const day = on(report.day);
      return {
        day: day < today ? today : day,
        from: on(report.from) < today ? today : on(report.from),
        to: report.to === null ? null : on(report.to),
        by: 'curve',
      };
    }
    if (curve.endKnown && curve.linfCm < targetCm) return 'never';
  }
  const days = daysFrom(species, tempC, last.mean, targetCm);
  if (days === null) return 'never';
  const { spread } = species.growth;
  const from = addDays(last.day, Math.round(days / spread));
  const to = addDays(last.day, Math.round(days * spread));
  const day = addDays(last.day, Math.round(days));
  return {
    day: day < today ? today : day,
    from: from < today ? today : from,
    to,
    by: 'kind',
  };
}

function conditionOf({ species, measured, today }: GrowthTask): GrowthStatus['condition'] {
  const weighed = measured.filter(({ massG, day }) => massG !== null && day <= today);
  const last = weighed.at(-1);
  if (!last) return null;
  const against = ({ massG, lengthCm }: Weighed) =>
    relativeCondition(massG!, massOf(species, lengthCm));
  const before = weighed.filter(({ day }) => day < last.day).map(against);
  // Relatives differ by more than a thin fish from a stout one: without a pair of its own kind
  // the group is compared with its own earlier weighings.
  if (!hasOwnPair(species) && before.length === 0) return null;
  const usual = hasOwnPair(species) ? 1 : before.reduce((sum, one) => sum + one, 0) / before.length;
  const value = against(last) / usual;
  return { value, word: conditionWord(value), day: last.day };
}

/** The curve on each of some days from the first measurement, with its interval. */
export const curveOn = (curve: Curve, days: readonly number[]) =>
  days.map((day) => ({ day, ...lengthOn(curve, day) }));
