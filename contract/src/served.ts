import { FOOD_FAMILIES } from '@open-larder/catalogue';
import { z } from 'zod';

/** What one group, or the young of a brood, had of one food in a span: offered, and what was not eaten. */
const servedRow = z.object({
  /** Of the brood, where it went to young in tubs. */
  groupId: z.string(),
  groupName: z.string(),
  tankId: z.string(),
  tankName: z.string(),
  foodId: z.string(),
  foodName: z.string(),
  family: z.enum(FOOD_FAMILIES),
  servings: z.number(),
  skipped: z.number(),
  /** Grams as fed; refused and left are parts of what was offered. */
  offeredG: z.number(),
  refusedG: z.number(),
  leftG: z.number(),
  /** In minor units; null where no lot had a price. */
  costMinor: z.number().nullable(),
});

/** How the servings of a moment went against their plan. */
const doneRow = z.object({
  /** Null for what was fed beside the plan. */
  momentId: z.string().nullable(),
  name: z.string(),
  served: z.number(),
  less: z.number(),
  more: z.number(),
  refused: z.number(),
  skipped: z.number(),
  /** Grams that were planned where something was logged, and grams that went in. */
  plannedG: z.number(),
  givenG: z.number(),
});

export const served = z.object({ rows: z.array(servedRow), moments: z.array(doneRow) });

/** How readily a group took each food, week by week. */
export const acceptance = z.object({
  /** First days of the weeks, Mondays. */
  weeks: z.array(z.string()),
  foods: z.array(
    z.object({
      foodId: z.string(),
      name: z.string(),
      /** Share of what was offered that was eaten, by week; null where none was offered. */
      taken: z.array(z.number().nullable()),
    }),
  ),
});

export type Served = z.infer<typeof served>;
export type ServedRow = z.infer<typeof servedRow>;
export type DoneRow = z.infer<typeof doneRow>;
export type Acceptance = z.infer<typeof acceptance>;
