import type { Foreseen, ForecastKind } from '@open-larder/core/forecasts';
import { widened } from '@open-larder/core/forecasts';
import { addDays, daysBetween } from '@open-larder/core/round';
import { useEffect } from 'react';
import { api } from '../store';
import type { KindRecord } from './labels';

/** Scoring goes on where it left off at the next question. */
const AGAIN_MS = 500;

/** How right the household’s forecasts were, asked for again until all of them are scored. */
export function useForecastRecords() {
  const answer = api.useForecastRecordsQuery();
  const { data, isFetching, refetch } = answer;
  const pending = data?.pending ?? 0;
  useEffect(() => {
    if (pending === 0 || isFetching) return;
    const timer = setTimeout(() => void refetch(), AGAIN_MS);
    return () => clearTimeout(timer);
  }, [pending, isFetching, refetch]);
  return answer;
}

/** The record of one kind; undefined while it is read, null where none came true. */
export function useForecastRecord(kind: ForecastKind): KindRecord | null | undefined {
  const { data } = useForecastRecords();
  return data && (data.kinds.find((one) => one.kind === kind) ?? null);
}

/** Days as far apart as this household has shown those of their kind to be. */
export function useCalibratedDays(
  kind: ForecastKind,
): <D extends { day: string; from: string; to: string | null }>(days: D) => D {
  const times = useForecastRecord(kind)?.calibration ?? 1;
  const moved = (day: string, to: string) => addDays(day, Math.round(times * daysBetween(day, to)));
  return (days) =>
    times === 1
      ? days
      : {
          ...days,
          from: moved(days.day, days.from),
          to: days.to === null ? null : moved(days.day, days.to),
        };
}

/** A band as wide as this household has shown those of its kind to be. */
export function useCalibrated(kind: ForecastKind): <B extends Foreseen>(band: B) => B {
  const times = useForecastRecord(kind)?.calibration ?? 1;
  return (band) => (times === 1 ? band : widened(band, times));
}
