import { z } from 'zod';
import { day, hand, id, instant } from './basics';
import { why } from './why';

/** A change of all portions of a group, with what speaks for it. */
const portions = z.object({
  groupId: id,
  groupName: z.string(),
  tankId: id,
  /** The diet that it is about. */
  dietVersion: z.number(),
  /** From -0.15 to 0.15. */
  change: z.number(),
  signs: z.array(
    z.object({ kind: z.enum(['belly', 'cleared', 'left']), day: z.string(), says: z.string() }),
  ),
  changed: z.array(
    z.object({
      servingId: id,
      foodName: z.string(),
      momentName: z.string(),
      /** «3 pinches» */
      before: z.string(),
      after: z.string(),
    }),
  ),
  why,
});

/** A food that a group refuses and could be trained onto, with one that it takes. */
const trained = z.object({
  groupId: id,
  groupName: z.string(),
  tankId: id,
  foodId: id,
  foodName: z.string(),
  withFoodName: z.string(),
  servingId: id,
  dealt: z.number(),
  refused: z.number(),
  newcomerDays: z.number().nullable(),
});

/** What is proposed today; nothing of it is done by itself. */
export const proposals = z.object({ portions: z.array(portions), trainings: z.array(trained) });

/** The keeper's answer, which is kept: what was declined is not asked again soon. */
export const answerCreate = z
  .object({
    id,
    groupId: id,
    kind: z.enum(['portions', 'training']),
    /** The food of a training. */
    foodId: id.nullable(),
    accepted: z.boolean(),
    /** The diet as it was when it was proposed. */
    dietVersion: z.int().min(1),
    hand,
    at: instant,
  })
  .refine((one) => (one.kind === 'training') === (one.foodId !== null), {
    path: ['foodId'],
    message: 'name the food of a training, and of nothing else',
  })
  .refine((one) => one.kind === 'portions' || !one.accepted, {
    path: ['accepted'],
    message: 'a training is accepted by beginning it',
  });
export const answerUndo = z.object({ id, at: instant });

/** As read back. */
export const answer = z.object({
  id: z.string(),
  groupId: z.string(),
  kind: z.enum(['portions', 'training']),
  foodId: z.string().nullable(),
  accepted: z.boolean(),
  change: z.number().nullable(),
  day,
  hand: z.string().nullable(),
});

export type Proposals = z.infer<typeof proposals>;
export type PortionsProposed = Proposals['portions'][number];
export type TrainingProposed = Proposals['trainings'][number];
export type Answer = z.infer<typeof answer>;
export type AnswerCreate = z.infer<typeof answerCreate>;
