import { z } from 'zod';
import { between, day, hand, id, instant, phrase } from './basics';

export const OUTCOMES = ['served', 'less', 'more', 'refused', 'skipped'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/**
 * A serving that happened. Sent with a client-made UUIDv7, so that a repeated send changes nothing.
 * `units` is what the hand served: 0 where it was skipped.
 */
export const feedingCreate = z
  .object({
    id,
    servingId: id,
    day,
    /** It goes to a group, or to a tub of a brood. */
    groupId: id.nullable(),
    broodId: id.nullable().default(null),
    tubId: id.nullable().default(null),
    foodId: id,
    outcome: z.enum(OUTCOMES),
    plannedUnits: between(0, 10_000, 'the planned amount'),
    units: between(0, 10_000, 'the amount'),
    note: phrase,
    hand,
    at: instant,
  })
  .refine((fed) => (fed.outcome === 'skipped') === (fed.units === 0), {
    path: ['units'],
    message: 'a skipped serving has the amount 0, every other one more than 0',
  })
  .refine((fed) => (fed.groupId === null) !== (fed.tubId === null), {
    path: ['groupId'],
    message: 'say which group it goes to, or which tub',
  })
  .refine((fed) => (fed.broodId === null) === (fed.tubId === null), {
    path: ['tubId'],
    message: 'a tub is named with its brood',
  });

export const feedingUndo = z.object({ id, at: instant });

/** As read back: ids come from the database, which holds nothing but valid ones. */
export const feeding = z.object({
  id: z.string(),
  servingId: z.string(),
  day: z.string(),
  groupId: z.string().nullable(),
  broodId: z.string().nullable(),
  tubId: z.string().nullable(),
  foodId: z.string(),
  outcome: z.enum(OUTCOMES),
  plannedUnits: z.number(),
  units: z.number(),
  massG: z.number(),
  note: z.string(),
  hand: z.string().nullable(),
  at: z.string(),
});

/** The feeding as written, and grams that the shelf did not have. */
export const feedingReceipt = z.object({ feeding, shortG: z.number() });

export type Feeding = z.infer<typeof feeding>;
export type FeedingCreate = z.infer<typeof feedingCreate>;
