import type { ForecastKind } from '@open-larder/core/forecasts';
import type { Scope } from '../db';

/** A forecast as it is kept: without a band where nothing could be said. */
export interface KeptForecast {
  kind: ForecastKind;
  eventId: string;
  about: string;
  madeOn: string;
  day: string;
  low: number | null;
  middle: number | null;
  high: number | null;
  actual: number;
}

/** All that are kept, in the order in which they came true. */
export const keptForecasts = (scope: Scope): Promise<KeptForecast[]> =>
  scope.rows(
    `SELECT kind, event_id, about, made_on::text, day::text, low, middle, high, actual
       FROM forecasts WHERE household_id = :household ORDER BY day, recorded_at, event_id`,
  );

/** Keep some; what is kept already stays as it is. */
export const keepForecasts = (scope: Scope, rows: readonly KeptForecast[]): Promise<void> =>
  scope.insertOnce('forecasts', rows as unknown as Record<string, unknown>[]);

/** Forget those whose event was taken back. */
export async function forgetForecasts(scope: Scope, eventIds: readonly string[]): Promise<void> {
  if (eventIds.length === 0) return;
  await scope.rows(
    `DELETE FROM forecasts WHERE household_id = :household AND event_id IN (:eventIds)
      RETURNING event_id`,
    { eventIds: [...eventIds] },
  );
}
