import { BELLIES } from '@open-larder/core/ration';
import { z } from 'zod';
import { day, hand, id, instant, phrase } from './basics';

export const COLOUR_SEEN = ['usual', 'pale', 'dark', 'bright'] as const;
export const DROPPINGS_SEEN = ['usual', 'stringy', 'none'] as const;

const seen = {
  groupId: id,
  day,
  belly: z.literal(BELLIES).nullable(),
  hungBack: z.boolean(),
  /** Some that should be there did not come at all. */
  absent: z.boolean(),
  injured: z.boolean(),
  colour: z.enum(COLOUR_SEEN).nullable(),
  droppings: z.enum(DROPPINGS_SEEN).nullable(),
  note: phrase,
  hand,
  at: instant,
};

/** How a group looked when it was fed: written as an event, and taken back by one. */
export const lookCreate = z
  .object({ id, ...seen })
  .refine(
    (one) =>
      one.belly !== null ||
      one.hungBack ||
      one.absent ||
      one.injured ||
      one.colour !== null ||
      one.droppings !== null ||
      one.note !== '',
    { path: ['belly'], message: 'say something that was seen' },
  );
/** A look at the groups of a tank: all of it is noted, or nothing. */
export const looksCreate = z.object({
  id,
  looks: z
    .array(lookCreate)
    .min(1, 'say something that was seen')
    .max(60, 'look at no more than 60 groups at once'),
});
export const looksUndo = z.object({
  id,
  at: instant,
  looks: z
    .array(z.object({ lookId: id, id }))
    .min(1)
    .max(60),
});

/** As read back. */
export const look = z.object({
  ...seen,
  id: z.string(),
  groupId: z.string(),
  day: z.string(),
  note: z.string(),
  hand: z.string().nullable(),
  at: z.string(),
});

export const looks = z.object({ looks: z.array(look) });

export type Observation = z.infer<typeof look>;
export type ObservationCreate = z.infer<typeof lookCreate>;
