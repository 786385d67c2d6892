import { FOOD_FAMILIES } from '@open-larder/catalogue';
import { z } from 'zod';
import { id } from './basics';
import { chore } from './chore';
import { feeding } from './feeding';
import { mealInWater } from './sighting';
import { stage } from './stage';
import { why } from './why';

const roundServing = z.object({
  servingId: id,
  groupId: id,
  groupName: z.string(),
  foodId: id,
  foodName: z.string(),
  family: z.enum(FOOD_FAMILIES),
  /** «soak 2 h, rinse»; empty where it is served as it is. */
  prepare: z.string(),
  /** «3 pinches» */
  portion: z.string(),
  units: z.number(),
  unit: z.object({
    name: z.string(),
    plural: z.string(),
    massG: z.number(),
    step: z.number(),
    /** How less than a step is served. */
    finer: z
      .array(
        z.object({
          by: z.enum(['tip', 'mL']),
          stirs: z.enum(['step', 'halfTip']).nullable(),
          made: z.enum(['crushed', 'crumbled', 'thawed']).nullable(),
          unitsEach: z.number(),
          step: z.number(),
        }),
      )
      .optional(),
  }),
  massG: z.number(),
  ofWanted: z.number(),
  zone: z.enum(['surface', 'mid', 'bottom', 'film']),
  place: z.string(),
  /** «soaked, 5 min later»; empty where it is simply given. */
  manner: z.string(),
  /** Part of a mixed meal of a training: the known food, or the new one; null is a plain serving. */
  mixed: z
    .object({ role: z.enum(['known', 'new']), step: z.number(), of: z.number(), share: z.number() })
    .nullable(),
  fed: feeding.nullable(),
});

const roundStop = z.object({
  tankId: id,
  at: z.string(),
  minutes: z.number(),
  servings: z.array(roundServing),
});

export const round = z.object({
  day: z.string(),
  moments: z.array(z.object({ momentId: id, name: z.string(), stops: z.array(roundStop) })),
  resting: z.array(
    z.object({
      groupId: id,
      groupName: z.string(),
      tankId: id,
      stage,
      reason: z.enum(['fast', 'stage', 'empty', 'brood', 'period', 'noDiet']),
    }),
  ),
  /** Groups of which some spawn, guard or hold, or are built up again: their portions of that day. */
  parents: z.array(
    z.object({
      groupId: id,
      groupName: z.string(),
      tankId: id,
      count: z.number(),
      is: z.enum(['spawning', 'guarding', 'recovering']),
      broodName: z.string(),
      animals: z.number(),
      share: z.number(),
    }),
  ),
  /** Logged that day for servings that the plan no longer holds. */
  unplanned: z.array(feeding),
  /** What else was done of that day. */
  done: z.array(chore),
  /** What is in the water now, of whatever day and moment, whoever put it in. */
  inWater: z.array(mealInWater),
});

/** What is to be prepared on a day, for meals of that day and of the next: once for all of them. */
export const preparations = z.object({
  tasks: z.array(
    z.object({
      /** What it is among the chores of its day. */
      about: z.string(),
      foodId: id,
      foodName: z.string(),
      family: z.enum(FOOD_FAMILIES),
      /** «soak 2 h, then rinse» */
      what: z.string(),
      /** «3 pinches» */
      amount: z.string(),
      /** Minutes after the day's midnight at which it is begun, and by which it must be ready. */
      startMin: z.number(),
      readyMin: z.number(),
      tankIds: z.array(id),
      meals: z.number(),
      workMin: z.number(),
    }),
  ),
});
export type Preparation = z.infer<typeof preparations>['tasks'][number];

export const roundWhy = z.object({ why });

export type RoundView = z.infer<typeof round>;
export type RoundParents = RoundView['parents'][number];
export type RoundServingView = z.infer<typeof roundServing>;
export type RoundStopView = z.infer<typeof roundStop>;
