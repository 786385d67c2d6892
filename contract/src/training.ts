import { TRAINING_STEPS } from '@open-larder/core/round';
import { z } from 'zod';
import { day, hand, id, instant } from './basics';

const step = z.int().min(1).max(TRAINING_STEPS.length);

/** Begin to train a group onto a food: a little of it among one that it takes. */
export const trainingCreate = z.object({
  id,
  groupId: id,
  /** The serving of the food that they take. */
  servingId: id,
  /** The new food. */
  foodId: id,
  day,
  /** The step that it begins with. */
  fromStep: step.default(1),
  hand,
  at: instant,
});

/** End it: with the new food in the diet in place of the known one, or as it was before. */
export const trainingEnd = z.object({ id, kept: z.boolean(), hand, at: instant });

/** How far it is, as read with its group. */
export const training = z.object({
  id: z.string(),
  servingId: z.string(),
  foodId: z.string(),
  step: z.number(),
  share: z.number(),
  offers: z.number(),
  ends: z.enum(['taken', 'hopeless']).nullable(),
});

export type TrainingCreate = z.infer<typeof trainingCreate>;
export type TrainingRow = z.infer<typeof training>;
