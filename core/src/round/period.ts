import { mayNotFast, type Stage } from '../fish';
import { daysBetween } from './clock';

/** When a period is in force: between two days of every year, or while the water is colder than so much. */
export type PeriodWhen =
  /** MM-DD, both in it; over the new year where the first is the later. */
  { kind: 'dates'; from: string; to: string } | { kind: 'below'; tempC: number };

/** A part of the year in which a tank is fed otherwise: a winter rest, a lean month, the weeks before spawning. */
export interface Period {
  id: string;
  name: string;
  when: PeriodWhen;
  /** Of a usual portion, 0 to 2: nothing is a rest. */
  share: number;
  /** Fed on every so many days, from 1. */
  everyDays: number;
  /** Foods that are left out meanwhile, by their ids. */
  without: readonly string[];
}

/** A day from which every other day is counted, whatever the plan. */
const EPOCH = '2024-01-01';

/**
 * The period that a group is in on a day. Of two that hold the first in the list counts, and of those by
 * temperature the coldest. The youngest are in none: they eat every day of the year.
 * @param tempC of the water, as it was read last
 */
export function periodOn(
  periods: readonly Period[] | null | undefined,
  { stage }: { stage: Stage },
  tempC: number,
  day: string,
): Period | null {
  if (!periods || mayNotFast(stage)) return null;
  const holding = periods.filter(({ when }) =>
    when.kind === 'below' ? tempC < when.tempC : isBetween(day.slice(5), when),
  );
  const [first] = holding;
  if (first?.when.kind !== 'below') return first ?? null;
  const cold = (one: Period) => (one.when.kind === 'below' ? one.when.tempC : Infinity);
  return holding.reduce((coldest, one) => (cold(one) < cold(coldest) ? one : coldest), first);
}

const isBetween = (day: string, { from, to }: { from: string; to: string }) =>
  from <= to ? day >= from && day <= to : day >= from || day <= to;

/** Whether nothing is given on a day of a period. */
export const restsIn = ({ share, everyDays }: Period, day: string): boolean =>
  share === 0 || daysBetween(EPOCH, day) % everyDays !== 0;
