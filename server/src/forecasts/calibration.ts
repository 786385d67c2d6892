import { addDays, daysBetween } from '@open-larder/core';
import {
  CALIBRATED_FROM,
  calibrationOf,
  widened,
  type ForecastKind,
  type Scored,
} from '@open-larder/core/forecasts';
import type { Scope } from '../db';

/** By how much the bands of each kind are widened or narrowed for a household; 1 where none is missing. */
export type Calibrations = ReadonlyMap<ForecastKind, number>;

/** Bands as the models give them: for forecasts that are to be scored themselves. */
export const AS_MODELLED: Calibrations = new Map();

const NEWEST = 200;

export async function calibrationsOf(scope: Scope): Promise<Calibrations> {
  const rows = await scope.rows<Scored & { kind: ForecastKind }>(
    `SELECT kind, low, middle, high, actual FROM (
       SELECT kind, low, middle, high, actual, day, recorded_at,
              row_number() OVER (PARTITION BY kind ORDER BY day DESC, recorded_at DESC) AS back,
              count(*) OVER (PARTITION BY kind) AS all_of_kind
         FROM forecasts WHERE household_id = :household AND middle IS NOT NULL) AS scored
      WHERE all_of_kind >= :least AND back <= :newest ORDER BY day, recorded_at`,
    { least: CALIBRATED_FROM, newest: NEWEST },
  );
  const kinds = new Set(rows.map(({ kind }) => kind));
  return new Map(
    [...kinds].map((kind) => [kind, calibrationOf(rows.filter((row) => row.kind === kind))]),
  );
}

/** Something with a band, as this household is shown it. */
export function shownBand<T extends { low: number; high: number }>(
  calibrations: Calibrations,
  kind: ForecastKind,
  one: T,
  middle: number,
): T {
  const times = calibrations.get(kind) ?? 1;
  if (times === 1) return one;
  const { low, high } = widened({ low: one.low, middle, high: one.high }, times);
  return { ...one, low, high };
}

/** The same of days. */
export function shownDays<T extends { day: string; from: string; to: string }>(
  calibrations: Calibrations,
  kind: ForecastKind,
  one: T,
): T {
  const times = calibrations.get(kind) ?? 1;
  if (times === 1) return one;
  return {
    ...one,
    from: addDays(one.day, -Math.round(times * daysBetween(one.from, one.day))),
    to: addDays(one.day, Math.round(times * daysBetween(one.day, one.to))),
  };
}
