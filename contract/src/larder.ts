import { z } from 'zod';
import { id } from './basics';
import { why } from './why';

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
      /** Made from a recipe: it is not bought, but made anew. */
      homemade: z.boolean(),
      /** A culture gives it: it is not bought, and the live shelf shows how much there is. */
      cultured: z.boolean(),
      /** What passes its last good day uneaten, by lot, in order of day. */
      waste: z.array(z.object({ lotId: id, massG: z.number(), on: z.string() })),
      /** Grams in a usual pack: the one bought last. */
      packG: z.number().nullable(),
      /** Cost a day in minor units at the price of the lots; null without a price. */
      costPerDayMinor: z.number().nullable(),
      /** What to order by when; null where it lasts past the horizon or is not used. */
      buy: z
        .object({
          runsOutOn: z.string(),
          orderBy: z.string(),
          late: z.boolean(),
          massG: z.number(),
          why,
          packs: z.number().nullable(),
        })
        .nullable(),
    }),
  ),
  /** What the plan's food costs, by group, at the prices of the lots. */
  groups: z.array(
    z.object({
      groupId: id,
      costPerDayMinor: z.number(),
      /** True where some of its foods have no price, so that it costs more than is said. */
      inPart: z.boolean(),
    }),
  ),
});
export type Supply = z.infer<typeof supply>;
