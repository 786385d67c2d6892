import { FOOD_FAMILIES } from '@open-larder/catalogue';
import { CAUSES } from '@open-larder/core/group';
import { z } from 'zod';
import { spanQuery } from './records';

const number = z.number().nullable();

/** A few fish of a group on a day. */
const sample = z.object({
  day: z.string(),
  cm: z.number(),
  low: number,
  high: number,
  n: z.number(),
});

/** What became of a group in a span. */
const ofGroup = z.object({
  groupId: z.string(),
  name: z.string(),
  speciesKey: z.string(),
  tankId: z.string(),
  tankName: z.string(),
  /** How many there were at the beginning and at the end. */
  began: z.number(),
  ended: z.number(),
  died: z.number(),
  causes: z.array(z.object({ cause: z.enum(CAUSES), count: z.number() })),
  /** Chance that a fish lives through thirty days of such, with its 95 % interval. */
  over30: z.object({ share: z.number(), low: z.number(), high: z.number() }).nullable(),
  first: sample.nullable(),
  last: sample.nullable(),
  /** Between them, % of its mass a day. */
  growthPerDay: number,
  /** What its kind grows in that time at that size, cm. */
  usualCm: number,
  /** Grams as fed, refused and left taken off. */
  eatenG: z.number(),
  /** Dry food to a gram gained; null where it cannot be said. */
  conversion: number,
  /** Minor units; null where no food had a price. */
  costMinor: number,
});

/** What became of the water of a tank in a span. */
const ofTank = z.object({
  tankId: z.string(),
  name: z.string(),
  tests: z.number(),
  nitrate: z.object({ n: z.number(), mean: z.number(), max: z.number() }).nullable(),
  /** Nitrate that the strictest of its groups stands; null without any. */
  capMgL: number,
  changes: z.number(),
  /** Litres changed; null where its litres are not known. */
  litres: number,
  costMinor: number,
});

const rated = z.object({ worse: z.number(), same: z.number(), better: z.number() });

/** What a food was and did in a span. */
const ofFood = z.object({
  foodId: z.string(),
  name: z.string(),
  family: z.enum(FOOD_FAMILIES),
  offeredG: z.number(),
  refusedG: z.number(),
  leftG: z.number(),
  costMinor: number,
  colour: rated,
  growth: rated,
});

export const account = z.object({
  groups: z.array(ofGroup),
  tanks: z.array(ofTank),
  foods: z.array(ofFood),
});

export const ACCOUNT_PARTS = ['groups', 'tanks', 'foods'] as const;
export const accountTableQuery = spanQuery.and(z.object({ part: z.enum(ACCOUNT_PARTS) }));

export type Account = z.infer<typeof account>;
