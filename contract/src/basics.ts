import { z } from 'zod';

/** Building blocks with their limits. Every message is a sentence a keeper can act on. */
export const id = z.uuid('this is not a valid id');

/** An id that a person chooses from a list: `sentence` asks for it. */
export const chosen = (sentence: string) => z.uuid(sentence);

export const name = z
  .string()
  .trim()
  .min(1, 'give it a name')
  .max(60, 'keep the name under 60 letters');

export const phrase = z.string().trim().max(120, 'keep it under 120 letters');

export const day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'write the day as YYYY-MM-DD')
  .refine(isRealDay, 'this day does not exist')
  .refine((value) => value >= '1990-01-01' && value <= '2100-12-31', 'choose a day after 1990');

function isRealDay(value: string): boolean {
  const date = new Date(`${value}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(value);
}

export const instant = z.iso
  .datetime({ offset: true, message: 'this is not a valid time' })
  .refine(
    (value) => value >= '1990' && value < '2101' && !Number.isNaN(Date.parse(value)),
    'give a time after 1990',
  );

/** A number between two limits, refused with a sentence that names both. */
export function between(low: number, high: number, what: string) {
  const sentence = `${what} must lie between ${low} and ${high}`;
  return z.number(sentence).min(low, sentence).max(high, sentence);
}

/** Who did it; null is nobody in particular. */
export const hand = z.string().trim().min(1).max(30).nullable().default(null);

export const version = z.int().min(1);

export const weekday = z.int().min(1).max(7);

export const weekdays = z
  .array(weekday)
  .max(7)
  .refine((days) => new Set(days).size === days.length, 'a weekday is listed twice');

/** A row that is stored and cannot be read: named in its place, while the rest of its list is shown. */
export const unreadable = z.object({ id: z.string().nullable(), detail: z.string() });
export type Unreadable = z.infer<typeof unreadable>;

/** The part of a list that was asked for; `next` continues it, null at its end. */
export function pageOf<Item extends z.ZodType>(item: Item) {
  return z.object({
    items: z.array(item),
    next: z.string().nullable(),
    unreadable: z.array(unreadable).optional(),
  });
}

export const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(1000).default(500),
  cursor: z.string().max(200).optional(),
});

export const byId = z.object({ id });
