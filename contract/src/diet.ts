import { MOST_AFTER_MIN, MOST_SPOTS } from '@open-larder/core/round';
import { z } from 'zod';
import { between, id, phrase, weekdays } from './basics';

/** How it is given, beyond when, where and how much. */
const manner = z.object({
  afterMin: between(0, MOST_AFTER_MIN, 'minutes after the moment').int('give whole minutes'),
  spots: between(1, MOST_SPOTS, 'the number of places').int('count whole places'),
  carried: z.boolean(),
  soaked: z.boolean(),
  apart: z.boolean(),
});

export const dietServing = z.object({
  id,
  foodId: id,
  momentId: id,
  zone: z.enum(['surface', 'mid', 'bottom', 'film']),
  place: phrase,
  weekdays: weekdays.min(1, 'choose at least one weekday'),
  weight: between(0.05, 20, 'the share of the day'),
  ownUnits: between(0.05, 10_000, 'the amount').nullable(),
  manner,
});

const fields = z.object({
  fastWeekdays: weekdays.max(6, 'a group cannot fast every day of the week'),
  goalFactor: between(0, 10, 'the goal, as a multiple of maintenance,').nullable(),
  servings: z
    .array(dietServing)
    .max(60, 'keep a diet under 60 servings')
    .refine(
      (servings) => new Set(servings.map((serving) => serving.id)).size === servings.length,
      'a serving stands twice',
    ),
});

/** `version` 0 starts a group's first diet. `validFrom` is set by the server to the day of saving. */
export const dietEdit = fields.extend({ version: z.int().min(0) });

/** As read back: what passed the limits on its way in. */
export const diet = z.object({
  version: z.number(),
  validFrom: z.string(),
  fastWeekdays: z.array(z.number()),
  goalFactor: z.number().nullable(),
  servings: z.array(
    z.object({
      id: z.string(),
      foodId: z.string(),
      momentId: z.string(),
      zone: dietServing.shape.zone,
      place: z.string(),
      weekdays: z.array(z.number()),
      weight: z.number(),
      ownUnits: z.number().nullable(),
      manner,
    }),
  ),
});

export type DietRow = z.infer<typeof diet>;
export type DietEdit = z.infer<typeof dietEdit>;
