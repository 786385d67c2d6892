import { z } from 'zod';
import { day, hand, id, instant, phrase } from './basics';

/** Against how they were before they had it. */
export const RATED = ['worse', 'same', 'better'] as const;

const fields = {
  groupId: id,
  foodId: id,
  day,
  /** Duller, as before, brighter; null where nobody can say. */
  colour: z.enum(RATED).nullable(),
  /** Slower, as before, faster. */
  growth: z.enum(RATED).nullable(),
  note: phrase,
  hand,
  at: instant,
};

/** What a food did to a group, as the keeper judges it: an event, taken back by one. */
export const ratingCreate = z
  .object({ id, ...fields })
  .refine((one) => one.colour !== null || one.growth !== null, {
    path: ['colour'],
    message: 'rate the colour or the growth',
  });
export const ratingUndo = z.object({ id, at: instant });

/** As read back. */
export const rating = z.object({
  ...fields,
  id: z.string(),
  groupId: z.string(),
  groupName: z.string(),
  foodId: z.string(),
  foodName: z.string(),
  day: z.string(),
  note: z.string(),
  hand: z.string().nullable(),
  at: z.string(),
});

export type Rating = z.infer<typeof rating>;
export type RatingCreate = z.infer<typeof ratingCreate>;
