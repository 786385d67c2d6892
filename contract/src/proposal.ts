import { MIXINGS } from '@open-larder/core/proposal/mixing';
import { z } from 'zod';
import { day, hand, id, instant } from './basics';
import { why } from './why';

/** What was seen or measured: lengths cm, masses as shares of the usual one, nitrate mg/L. */
const seen = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('belly'),
    score: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4), z.literal(5)]),
    still: z.boolean(),
  }),
  z.object({ kind: z.literal('cleared'), minutes: z.number(), ofMinutes: z.number() }),
  z.object({ kind: z.literal('left'), share: z.number() }),
  z.object({
    kind: z.literal('growth'),
    cm: z.number(),
    usualCm: z.number(),
    behind: z.boolean(),
  }),
  z.object({ kind: z.literal('mass'), ofUsual: z.number() }),
  z.object({
    kind: z.literal('nitrate'),
    now: z.boolean(),
    mgL: z.number(),
    capMgL: z.number(),
    groupName: z.string(),
    grows: z.boolean(),
  }),
  z.object({ kind: z.literal('poison'), which: z.enum(['ammonia', 'nitrite']) }),
]);
const sign = z.object({ seen, day: z.string() });

/** A figure as it is, and as it would be. */
const moves = z.object({ before: z.number(), after: z.number() });

/** What would follow from other portions, as far as it can be computed. */
const leadsTo = z.object({
  /** What a day gives of what they need, %. */
  ofNeed: moves,
  /** Share of their energy by family of food, 0..1: those that move. */
  shares: z.array(moves.extend({ family: z.string() })),
  /** Days left of each food whose use moves; null where it lasts past what is looked at. */
  stock: z.array(
    z.object({
      foodName: z.string(),
      before: z.number().nullable(),
      after: z.number().nullable(),
    }),
  ),
  /** Where the nitrate of its tank peaks in the long run, mg/L; null where the water is not known. */
  nitrate: moves.extend({ capMgL: z.number().nullable() }).nullable(),
  /** When those that grow reach a length; a date is null where it is beyond a year. */
  size: z
    .object({ lengthCm: z.number(), before: day.nullable(), after: day.nullable() })
    .nullable(),
});

/** A change of all portions of a group, with what speaks for it. */
const portions = z.object({
  groupId: id,
  groupName: z.string(),
  tankId: id,
  /** The diet that it is about. */
  version: z.number(),
  /** From -0.15 to 0.15. */
  change: z.number(),
  signs: z.array(sign),
  changed: z.array(
    z.object({
      servingId: id,
      foodName: z.string(),
      momentName: z.string(),
      /** «3 pinches» */
      before: z.string(),
      after: z.string(),
      /** «½ pinch» */
      by: z.string(),
      leftOut: z.boolean(),
      /** Days of the tank’s cycle on which it would; null is on all of its days. */
      days: z.array(z.number()).nullable(),
    }),
  ),
  leadsTo,
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
  served: z.number(),
  refused: z.number(),
  newcomerDays: z.number().nullable(),
  /** How the two are put together. */
  mixing: z.enum(MIXINGS),
});

const rhythm = z.object({ share: z.number(), everyDays: z.number() });

/** Another rhythm of changes of water, that keeps a tank under the cap of its strictest group. */
const water = z.object({
  tankId: id,
  tankName: z.string(),
  /** The plan that it is about. */
  version: z.number(),
  before: rhythm,
  after: rhythm,
  /** Where it peaks in the long run, mg/L. */
  peak: moves,
  capMgL: z.number(),
  capGroupName: z.string(),
  /** Litres a week of new water. */
  litresPerWeek: moves,
  /** Groups here that grow: they are not fed less for the water. */
  growers: z.array(z.string()),
  why,
});

/** What asks for something else than another portion. */
const heed = z.object({
  groupId: id,
  groupName: z.string(),
  tankId: id,
  heed: z.discriminatedUnion('is', [
    z.object({ is: z.literal('hangsBack'), days: z.number() }),
    z.object({ is: z.literal('fullYoung'), days: z.number() }),
    z.object({ is: z.literal('tooCold'), tempC: z.number(), limitC: z.number() }),
    z.object({ is: z.literal('overLimit'), mgL: z.number(), capMgL: z.number() }),
    z.object({ is: z.literal('poison'), which: z.enum(['ammonia', 'nitrite']) }),
  ]),
});

/** What is proposed today; nothing of it is done by itself. */
export const proposals = z.object({
  heeds: z.array(heed),
  portions: z.array(portions),
  trainings: z.array(trained),
  waters: z.array(water),
});

const KINDS = ['portions', 'training', 'water'] as const;

/** The keeper's answer, which is kept: what was declined is not asked again soon. */
export const answerCreate = z
  .object({
    id,
    /** Of portions and trainings the group, of water the tank. */
    groupId: id.nullable().default(null),
    tankId: id.nullable().default(null),
    kind: z.enum(KINDS),
    /** The food of a training. */
    foodId: id.nullable(),
    accepted: z.boolean(),
    /** Not now: asked again in a week. */
    later: z.boolean().default(false),
    /** The diet, or the plan of the tank, as it was when it was proposed. */
    version: z.int().min(1),
    hand,
    at: instant,
  })
  .refine((one) => (one.kind === 'water' ? one.groupId === null : one.groupId !== null), {
    path: ['groupId'],
    message: 'name the group of portions or of a training, and of nothing else',
  })
  .refine((one) => (one.kind === 'water') === (one.tankId !== null), {
    path: ['tankId'],
    message: 'name the tank of a change of water, and of nothing else',
  })
  .refine((one) => (one.kind === 'training') === (one.foodId !== null), {
    path: ['foodId'],
    message: 'name the food of a training, and of nothing else',
  })
  .refine((one) => one.kind !== 'training' || !one.accepted, {
    path: ['accepted'],
    message: 'a training is accepted by beginning it',
  })
  .refine((one) => !(one.accepted && one.later), {
    path: ['later'],
    message: 'accept it, or put it off',
  });
export const answerUndo = z.object({ id, at: instant });

/** As read back. */
export const answer = z.object({
  id: z.string(),
  groupId: z.string().nullable(),
  tankId: z.string().nullable(),
  kind: z.enum(KINDS),
  foodId: z.string().nullable(),
  accepted: z.boolean(),
  later: z.boolean(),
  change: z.number().nullable(),
  day,
  hand: z.string().nullable(),
});

/** An answer with what spoke for it, and what was seen after it. */
export const answered = answer.extend({
  /** Group or tank, and the food of a training. */
  about: z.string(),
  foodName: z.string().nullable(),
  signs: z.array(sign),
  /** Of portions: what the signs after it say, up to the next change; null where none could be. */
  ledTo: z
    .object({
      more: z.number(),
      right: z.number(),
      less: z.number(),
      says: z.enum(['right', 'still more', 'still less', 'unseen']),
    })
    .nullable(),
  /** Of water: the first test from a week on, mg/L. */
  nitrate: z.object({ day: z.string(), mgL: z.number() }).nullable(),
});

export type Proposals = z.infer<typeof proposals>;
export type HeedProposed = Proposals['heeds'][number];
export type PortionsProposed = Proposals['portions'][number];
export type TrainingProposed = Proposals['trainings'][number];
export type WaterProposed = Proposals['waters'][number];
export type Answer = z.infer<typeof answer>;
export type AnswerCreate = z.infer<typeof answerCreate>;
export type Answered = z.infer<typeof answered>;
