import type { ForecastRecords } from '@open-larder/contract';
import { asShown, FORECAST_KINDS, recordOf } from '@open-larder/core/forecasts';
import type { Handlers } from '../http/mount';
import { catchUp } from './catchUp';

/** So long a reader waits while what came true is scored; the rest comes with the next question. */
const BUDGET_MS = 1500;
const NEWEST = 40;

export const forecastRoutes = {
  async getForecastRecords(_request, { scope, catalogue, clock }) {
    const { kept, pending } = await catchUp(scope, catalogue, clock, BUDGET_MS);
    const kinds = FORECAST_KINDS.flatMap((kind): ForecastRecords['kinds'] => {
      const scored = kept.flatMap(({ kind: of, low, middle, high, eventId: _, ...row }) =>
        of === kind && low !== null && middle !== null && high !== null
          ? [{ ...row, low, middle, high }]
          : [],
      );
      const record = recordOf(scored);
      if (record === null) return [];
      const newest = asShown(scored)
        .slice(-NEWEST)
        .reverse()
        .map(({ about, madeOn, day, low, middle, high, actual }) => ({
          about,
          madeOn,
          day,
          low,
          middle,
          high,
          actual,
        }));
      return [{ kind, ...record, newest }];
    });
    return { kinds, pending };
  },
} satisfies Partial<Handlers>;
