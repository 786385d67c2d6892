import { BREEDINGS, FOOD_FAMILIES } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { BroodStatus, BroodWork } from '@open-larder/core/brood';
import {
  BROOD_EVENTS,
  EGG_CARES,
  FIRST_FOODS,
  FIRST_WATERS,
  RAISINGS,
  STANDING_FOODS,
} from '@open-larder/core/brood/vocabulary';
import { z } from 'zod';
import type { ServingUnit } from '@open-larder/core';
import { dietEdit } from './diet';
import { checkpoint } from './group';
import { feeding } from './feeding';
import { between, chosen, day, hand, id, instant, name, phrase, version } from './basics';

/** Rows are validated when the catalogue is loaded; on the wire only their presence is checked. */
export const strategy = z.custom<BreedingStrategy>(
  (row) => typeof row === 'object' && row !== null && 'breeding' in row,
);
const sexes = z.object({
  taxon: z.string(),
  level: z.enum(['own', 'genus', 'family']),
  shows: z.string(),
  source: z.string(),
});
/** The ways of life, and what tells the sexes apart. */
export const strategies = z.object({ strategies: z.array(strategy), sexes: z.array(sexes) });

/** What is said of a brood, and may be corrected: the practices among it. */
const fields = {
  name,
  /** The way of life it is reported by, where it is another than its species’ usual one. */
  breeding: z.enum(BREEDINGS).nullable(),
  /** The tank of the parents, and their group there. */
  tankId: id.nullable(),
  groupId: id.nullable(),
  /** The group that its young are by now, where their food is planned as such: it is counted once. */
  youngGroupId: id.nullable(),
  raising: z.enum(RAISINGS),
  eggCare: z.enum(EGG_CARES),
  firstWater: z.enum(FIRST_WATERS),
  /** Null takes what suits the mouth. */
  firstFood: z.enum(FIRST_FOODS).nullable(),
  /** Length at which someone takes them; null is half of an adult’s. */
  targetCm: between(0.3, 200, 'the length at which they go').nullable(),
  /** For so many days the pair is conditioned; null is two weeks. */
  conditionDays: between(1, 90, 'days of conditioning').int('count whole days').nullable(),
  /** Lengths of the keeper’s own, each by an age or at any; ages count from hatching. */
  checkpoints: z.array(checkpoint).max(6, 'keep at most six checkpoints'),
};

const tubFields = {
  name,
  litres: between(0.2, 50_000, 'its litres'),
  tempC: between(0, 40, 'its temperature'),
  /** Null where nobody tested it. */
  ph: between(4, 10, 'pH').nullable(),
  /** A filter that has grown in. */
  filtered: z.boolean(),
};
export const broodTubCreate = z.object({ id, ...tubFields });
export const broodTubEdit = z.object({ version, ...tubFields });
const broodTub = z.object({ id: z.string(), version: z.number(), ...tubFields });

export const broodEdit = z.object({ version, ...fields });

export const animals = between(0, 100_000, 'a number of animals').int('count whole animals');
const millimetres = between(0.5, 2000, 'length in mm');
const base = { id, day, at: instant, hand, note: phrase.default(''), tubId: id.nullable() };

/** Something that happened to a brood. A repeated send changes nothing. */
export const broodEventCreate = z.discriminatedUnion('kind', [
  z.object({
    ...base,
    kind: z.enum([
      'conditioned',
      'paired',
      'spawned',
      'parentsMoved',
      'attached',
      'hatched',
      'swimming',
      'firstFood',
      'sorted',
      'eggsEaten',
      'swallowed',
      'ended',
    ]),
  }),
  z.object({ ...base, kind: z.enum(['eggsSeen', 'counted']), count: animals }),
  z.object({
    ...base,
    kind: z.enum(['lost', 'rehomed', 'joined']),
    count: animals.min(1, 'enter at least one'),
  }),
  z
    .object({
      ...base,
      kind: z.literal('moved'),
      toTubId: chosen('say into which tub'),
      /** Null moves all of them. */
      count: animals.min(1, 'enter at least one').nullable(),
    })
    .refine((one) => one.tubId !== one.toTubId, {
      path: ['toTubId'],
      message: 'choose another tub than the one they are in',
    }),
  z
    .object({
      ...base,
      kind: z.literal('measured'),
      lengthMm: millimetres,
      shortMm: millimetres.nullable(),
      longMm: millimetres.nullable(),
    })
    .refine((one) => one.shortMm === null || one.shortMm <= one.lengthMm, {
      path: ['shortMm'],
      message: 'the shortest is no longer than the mean',
    })
    .refine((one) => one.longMm === null || one.longMm >= one.lengthMm, {
      path: ['longMm'],
      message: 'the longest is no shorter than the mean',
    }),
  z.object({
    ...base,
    kind: z.literal('changed'),
    share: between(0.01, 1, 'the share of water'),
  }),
  z.object({
    ...base,
    kind: z.literal('lifted'),
    share: between(0.01, 1, 'the share that was left'),
  }),
  z.object({
    ...base,
    kind: z.enum(['eggsBad', 'kickedOut']),
    share: between(0.01, 1, 'the share of the eggs'),
  }),
  z.object({ ...base, kind: z.enum(['placed', 'removed']), foodKey: z.enum(STANDING_FOODS) }),
  z.object({
    ...base,
    kind: z.literal('treated'),
    product: name.nullable().default(null),
    forDays: between(1, 60, 'days of treatment').int('count whole days').nullable().default(null),
    everyDays: between(1, 30, 'days between').int('count whole days').nullable().default(null),
  }),
  z.object({
    ...base,
    kind: z.literal('took'),
    foodKey: z.string('say which food').min(1, 'say which food').max(60),
  }),
  z.object({ ...base, kind: z.literal('warmth'), tempC: between(0, 40, 'its temperature') }),
]);
export const broodCreate = z.object({
  id,
  ...fields,
  speciesKey: z.string().min(1, 'choose a species').max(60),
  /** Where the eggs or young are now. */
  tub: broodTubCreate,
  /** What it began with, noted along with it. */
  events: z.array(broodEventCreate).max(5, 'note at most five things at once').default([]),
});

/**
 * The young of a tub, spread evenly over it and some new ones: how many there are is noted as counted, and
 * what is left over stays. A repeated send changes nothing.
 */
export const broodSplit = z.object({
  /** Of the count that is noted along with it. */
  id,
  day,
  at: instant,
  hand,
  tubId: id,
  count: animals.min(2, 'to be split there must be two at least'),
  tubs: z
    .array(broodTubCreate.extend({ moveId: id }))
    .min(1, 'name another tub')
    .max(19, 'split into twenty tubs at most'),
});

/** The diet in its next version; null leaves it. */
const richer = { day, diet: dietEdit.nullable() };

/** A group is conditioned from a day on. `id` is that of the change of its stage. */
export const conditioningBegin = z.object({ id, groupId: id, ...richer, brood: broodCreate });
export const conditioningEnd = z.object({ id, ...richer });

export const broodEventUndo = z.object({ id, at: instant });

/** An event as read back: what does not belong to its kind is null. */
export const broodEvent = z.object({
  id: z.string(),
  broodId: z.string(),
  kind: z.enum(BROOD_EVENTS),
  day: z.string(),
  at: z.string(),
  hand: z.string().nullable(),
  note: z.string(),
  tubId: z.string().nullable(),
  toTubId: z.string().nullable(),
  count: z.number().nullable(),
  lengthMm: z.number().nullable(),
  shortMm: z.number().nullable(),
  longMm: z.number().nullable(),
  tempC: z.number().nullable(),
  share: z.number().nullable(),
  foodKey: z.string().nullable(),
  product: z.string().nullable(),
  forDays: z.number().nullable(),
  everyDays: z.number().nullable(),
});

/** Computed by the core on the way out: only its presence is checked. */
const status = z.custom<BroodStatus>(
  (value) => typeof value === 'object' && value !== null && 'state' in value,
);
const work = z.custom<BroodWork>(
  (value) => typeof value === 'object' && value !== null && 'because' in value,
);

/** A meal of young in tubs today, and what became of it. */
const fryMeal = z.object({
  minutes: z.number(),
  servings: z.array(
    z.object({
      servingId: id,
      tubId: id,
      tubName: z.string(),
      key: z.string(),
      /** Null is not on the shelf as a food yet. */
      foodId: z.string().nullable(),
      name: z.string(),
      family: z.enum(FOOD_FAMILIES),
      units: z.number(),
      unit: z.custom<ServingUnit>((value) => typeof value === 'object' && value !== null),
      fed: feeding.nullable(),
    }),
  ),
});
export type FryMealRow = z.infer<typeof fryMeal>;

/** A brood as of today. */
export const brood = z.object({
  id: z.string(),
  speciesKey: z.string(),
  ...fields,
  tankId: z.string().nullable(),
  groupId: z.string().nullable(),
  youngGroupId: z.string().nullable(),
  version: z.number(),
  tubs: z.array(broodTub),
  status,
  work: z.array(work),
  /** Hours of light over its tubs, minutes after midnight. */
  light: z.object({ lightOnMin: z.number(), lightOffMin: z.number() }),
  meals: z.array(fryMeal),
});

export type BroodCreate = z.infer<typeof broodCreate>;
export type BroodFields = z.infer<typeof broodEdit>;
export type BroodTubCreate = z.infer<typeof broodTubCreate>;
export type BroodSplit = z.infer<typeof broodSplit>;
export type BroodTubFields = z.infer<typeof broodTubEdit>;
export type BroodTubRow = z.infer<typeof broodTub>;
export type BroodEventCreate = z.infer<typeof broodEventCreate>;
export type ConditioningBegin = z.infer<typeof conditioningBegin>;
export type BroodEventRow = z.infer<typeof broodEvent>;
export type BroodRow = z.infer<typeof brood>;
