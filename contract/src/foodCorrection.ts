import { z } from 'zod';
import { id } from './basics';

/** Foods whose serving unit was corrected with the catalogue, until the keeper has seen it. */
export const foodCorrections = z.object({
  foods: z.array(
    z.object({
      foodId: z.string(),
      name: z.string(),
      unit: z.string(),
      wasG: z.number(),
      isG: z.number(),
    }),
  ),
});
export const foodCorrectionsSeen = z.object({
  foodIds: z.array(id).min(1, 'name what was seen').max(1000, 'name at most 1000 foods'),
});
export type FoodCorrections = z.infer<typeof foodCorrections>;
