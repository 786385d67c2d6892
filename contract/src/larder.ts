import { z } from 'zod';
import { id } from './basics';

/** How long each food lasts by the plan's own use, day by day. */
export const supply = z.object({
  /** Days looked ahead. */
  horizon: z.int(),
  foods: z.array(
    z.object({
      foodId: id,
      /** Whole days; null where it lasts past the horizon or is not used. */
      days: z.number().nullable(),
      usedPerWeekG: z.number(),
      wastedG: z.number(),
      /** Cost a day in minor units at the price of the lots; null without a price. */
      costPerDayMinor: z.number().nullable(),
    }),
  ),
});
export type Supply = z.infer<typeof supply>;
