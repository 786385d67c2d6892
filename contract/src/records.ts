import { FOOD_FAMILIES } from '@open-larder/catalogue';
import { z } from 'zod';
import { day, id } from './basics';

/** Longest span that one reading may cover, in days. */
export const LONGEST_SPAN = 400;

export const spanQuery = z
  .object({ from: day, to: day })
  .refine((span) => span.from <= span.to, {
    path: ['to'],
    message: 'the span ends before it begins',
  })
  .refine((span) => (Date.parse(span.to) - Date.parse(span.from)) / 86_400_000 < LONGEST_SPAN, {
    path: ['to'],
    message: `choose at most ${LONGEST_SPAN} days`,
  });

export const consumption = z.object({
  days: z.array(z.string()),
  /** Grams as fed per day of `days`. */
  foods: z.array(
    z.object({
      foodId: id,
      name: z.string(),
      family: z.enum(FOOD_FAMILIES),
      gramsPerDay: z.array(z.number()),
      totalG: z.number(),
      units: z.number(),
      unit: z.object({ name: z.string(), plural: z.string(), massG: z.number(), step: z.number() }),
      /** Cost of what was used, in minor units; null where no lot had a price. */
      costMinor: z.number().nullable(),
    }),
  ),
  /** kJ digestible energy per day of `days`. */
  groups: z.array(
    z.object({
      groupId: id,
      name: z.string(),
      tankId: id,
      tankName: z.string(),
      neededPerDay: z.array(z.number()),
      offeredPerDay: z.array(z.number()),
      neededKj: z.number(),
      offeredKj: z.number(),
      refusedKj: z.number(),
    }),
  ),
});
export type Consumption = z.infer<typeof consumption>;
