import { FORECAST_KINDS } from '@open-larder/core/forecasts';
import { z } from 'zod';

/** A forecast that came true: what was expected, with the band of the model, and what was seen. */
const scored = z.object({
  /** What it was of: a tank, group, brood or culture, by its name. */
  about: z.string(),
  /** The day on which it was made with what was known then, and the day on which it came true. */
  madeOn: z.string(),
  day: z.string(),
  low: z.number(),
  middle: z.number(),
  high: z.number(),
  actual: z.number(),
});
export type ScoredForecast = z.infer<typeof scored>;

const howRight = z.object({ count: z.number(), medianError: z.number(), inside: z.number() });

/** How right the forecasts of a household were, by kind; kinds of which none came true are missing. */
export const forecastRecords = z.object({
  kinds: z.array(
    howRight.extend({
      kind: z.enum(FORECAST_KINDS),
      /** What the bands of the kind are multiplied with now; null until enough came true. */
      calibration: z.number().nullable(),
      change: z.object({ first: howRight, last: howRight }).nullable(),
      /** The newest, as they were shown; the newest first. */
      newest: z.array(scored),
    }),
  ),
  /** What came true and is not scored yet: ask again. */
  pending: z.number(),
});
export type ForecastRecords = z.infer<typeof forecastRecords>;
