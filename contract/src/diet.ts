import { MAX_AFTER_MIN, MAX_CYCLE_DAYS, MAX_SPOTS } from '@open-larder/core/round';
import { z } from 'zod';
import { between, id, phrase, weekdays } from './basics';

/** How it is given, beyond when, where and how much. */
const manner = z.object({
  afterMin: between(0, MAX_AFTER_MIN, 'minutes after the moment').int('give whole minutes'),
  spots: between(1, MAX_SPOTS, 'the number of places').int('count whole places'),
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
  /** Days of the tank's cycle; of a week the ISO weekdays. */
  days: z
    .array(z.int().min(1).max(MAX_CYCLE_DAYS))
    .min(1, 'choose at least one day')
    .max(MAX_CYCLE_DAYS)
    .refine((days) => new Set(days).size === days.length, 'a day is listed twice'),
  weight: between(0.05, 20, 'the share of the day'),
  ownUnits: between(0.05, 10_000, 'the amount').nullable(),
  manner,
});

/** What the keeper knows of a group and a food. */
const rule = z.object({
  foodId: id,
  taken: between(0, 1, 'how readily it is taken').nullable(),
  mostPerWeek: between(0, 70, 'servings a week').int('count whole servings').nullable(),
});

export const dietFields = z.object({
  fastWeekdays: weekdays.max(6, 'a group cannot fast every day of the week'),
  goalFactor: between(0, 10, 'the goal, as a multiple of maintenance,').nullable(),
  servings: z
    .array(dietServing)
    .max(60, 'keep a diet under 60 servings')
    .refine(
      (servings) => new Set(servings.map((serving) => serving.id)).size === servings.length,
      'a serving is listed twice',
    ),
  rules: z
    .array(rule)
    .max(200, 'keep it under 200 foods')
    .refine(
      (rules) => new Set(rules.map((one) => one.foodId)).size === rules.length,
      'a food is listed twice',
    ),
});

/** `version` 0 starts a group's first diet. `validFrom` is set by the server to the day of saving. */
export const dietEdit = dietFields.extend({ version: z.int().min(0) });

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
      days: z.array(z.number()),
      weight: z.number(),
      ownUnits: z.number().nullable(),
      manner,
    }),
  ),
  rules: z.array(
    z.object({
      foodId: z.string(),
      taken: z.number().nullable(),
      mostPerWeek: z.number().nullable(),
    }),
  ),
});

export type DietRow = z.infer<typeof diet>;
export type DietEdit = z.infer<typeof dietEdit>;
