import { z } from 'zod';
import { day, hand, id, instant } from './basics';

export const CHORE_KINDS = ['prepare'] as const;

const fields = {
  kind: z.enum(CHORE_KINDS),
  /** What of its kind it is on its day. */
  about: z.string().trim().min(1).max(120),
  day,
  hand,
  at: instant,
};

/** Something of a round that was done and is no serving. A repeated send changes nothing. */
export const choreCreate = z.object({ id, ...fields });
export const choreUndo = z.object({ id, at: instant });

/** As read back. */
export const chore = z.object({
  id: z.string(),
  kind: z.enum(CHORE_KINDS),
  about: z.string(),
  day: z.string(),
  hand: z.string().nullable(),
  at: z.string(),
});

/** A preparation among others of its day: its food, and when it must be ready. */
export const preparationOf = (foodId: string, readyMin: number): string =>
  `${foodId} ${Math.round(readyMin)}`;

export type Chore = z.infer<typeof chore>;
export type ChoreCreate = z.infer<typeof choreCreate>;
