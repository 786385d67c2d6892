import type { LifeEventRow } from '@open-larder/contract';
import { byDay, sampleOf } from '@open-larder/core/growth';
import { addDays, daysBetween } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { measuredOf } from '../growth/useGrowth';
import type { Format } from '../store';
import type { Batch, Fitted } from '../workers/growthWork';

/** Quarters of a year of the calendar, the newest first. */
export function seasonsTo(today: string, count = 4): { from: string; to: string; name: string }[] {
  const seasons: { from: string; to: string; name: string }[] = [];
  let [year, quarter] = [
    Number(today.slice(0, 4)),
    Math.floor((Number(today.slice(5, 7)) - 1) / 3),
  ];
  for (let at = 0; at < count; at += 1) {
    const from = `${year}-${String(quarter * 3 + 1).padStart(2, '0')}-01`;
    const next =
      quarter === 3
        ? `${year + 1}-01-01`
        : `${year}-${String(quarter * 3 + 4).padStart(2, '0')}-01`;
    const to = addDays(next, -1);
    seasons.push({ from, to: to > today ? today : to, name: `${QUARTERS[quarter]} ${year}` });
    [year, quarter] = quarter === 0 ? [year - 1, 3] : [year, quarter - 1];
  }
  return seasons;
}

const QUARTERS = ['Jan to Mar', 'Apr to Jun', 'Jul to Sep', 'Oct to Dec'];

/** A batch as it was measured. */
export interface Measured extends Batch {
  name: string;
  /** The day of its first measurement. */
  first: string;
}

/** From its first measurement on; null where it was not measured on two days: then nothing grew. */
export function batchOf(
  { id, name }: { id: string; name: string },
  events: readonly LifeEventRow[],
  adultCm: number,
): Measured | null {
  const samples = byDay(measuredOf(events)).map(({ day, values }) => ({
    day,
    sample: sampleOf(values),
  }));
  const first = samples[0]?.day;
  if (first === undefined || samples.length < 2) return null;
  return {
    id,
    name,
    first,
    maxCm: adultCm * 1.1,
    points: samples.map(({ day, sample }) => ({
      day: daysBetween(first, day),
      lengthCm: sample.mean,
      n: sample.n,
    })),
  };
}

/** Days since the first measurement at which batches are reported beside each other. */
export const TOLD_DAYS = [30, 60, 90, 120] as const;

/** Lengths of batches at the same ages: each by its curve, as far as it was measured. */
export function batchRows(
  batches: readonly Measured[],
  fitted: readonly Fitted[],
  format: Format,
): { title: string; values: string[] }[] {
  const { fromBase } = format.scale('length');
  const last = (batch: Measured) => batch.points.at(-1)!.day;
  const bare = (cm: number) => formatNumber(fromBase(cm), 1);
  return [
    { title: 'First measured', values: batches.map(({ first }) => format.day(first)) },
    {
      title: 'Then',
      values: batches.map(({ points }) => format.quantity('length', points[0]!.lengthCm)),
    },
    ...TOLD_DAYS.filter((day) => batches.some((batch) => last(batch) >= day)).map((day) => ({
      title: `After ${day} days`,
      values: batches.map((batch) => {
        if (last(batch) < day) return '–';
        const on = fitted.find(({ id }) => id === batch.id)?.on?.find((one) => one.day === day);
        if (on) return `${format.quantity('length', on.cm)} (${bare(on.low)} to ${bare(on.high)})`;
        return `${format.quantity('length', between(batch, day))}, measured`;
      }),
    })),
    {
      title: 'Now or last',
      values: batches.map(({ points }) => format.quantity('length', points.at(-1)!.lengthCm)),
    },
  ];
}

/** Where no curve is known: straight between the two measurements around a day. */
export function between({ points }: Pick<Batch, 'points'>, day: number): number {
  const after = points.find((point) => point.day >= day) ?? points.at(-1)!;
  const before = [...points].reverse().find((point) => point.day <= day) ?? points[0]!;
  if (after.day === before.day) return after.lengthCm;
  const share = (day - before.day) / (after.day - before.day);
  return before.lengthCm + share * (after.lengthCm - before.lengthCm);
}
