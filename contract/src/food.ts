import { FOOD_FAMILIES, FOOD_FORMS, FOOD_KINDS, PIECE_FORMS } from '@open-larder/catalogue';
import { preparationSteps } from '@open-larder/catalogue/preparation';
import { PLACES } from '@open-larder/core/stock';
import { z } from 'zod';
import { between, day, id, instant, name, version } from './basics';

const share = between(0, 1, 'a share of the food');

const composition = z
  .object({ protein: share, fat: share, fibre: share, ash: share, moisture: share })
  .refine(
    (parts) => parts.protein + parts.fat + parts.fibre + parts.ash + parts.moisture <= 1.0001,
    {
      path: ['protein'],
      message: 'protein, fat, fibre, ash and moisture add up to more than 100 %',
    },
  );

const unit = z.object({
  name: z.string().trim().min(1, 'name the unit, such as pinch').max(30),
  plural: z.string().trim().min(1, 'give the plural, such as pinches').max(30),
  massG: between(0.00001, 1000, 'the mass of one unit in grams'),
  step: between(0.05, 10, 'the smallest part a hand can measure'),
});

const millimetres = (what: string) => between(0.001, 400, `${what} in mm`).nullable();

/** How it behaves in the water; null is what nobody measured. */
const inWater = z
  .object({
    floatMinutes: between(0, 20_000, 'minutes afloat').nullable(),
    sinkCmPerS: between(0, 30, 'the sinking speed in cm/s').nullable(),
    particleMinMm: millimetres('the smallest particle'),
    particleMaxMm: millimetres('the largest particle'),
    pieceForm: z.enum(PIECE_FORMS).nullable().optional(),
    widthMinMm: millimetres('the width of the smallest piece').optional(),
    widthMaxMm: millimetres('the width of the largest piece').optional(),
  })
  .refine(
    ({ particleMinMm: low, particleMaxMm: high }) => low === null || high === null || low <= high,
    { path: ['particleMaxMm'], message: 'the largest particle is smaller than the smallest' },
  )
  .refine(({ widthMinMm: low, widthMaxMm: high }) => low == null || high == null || low <= high, {
    path: ['widthMaxMm'],
    message: 'the widest piece is thinner than the thinnest',
  });

const keptDays = between(1, 3650, 'days that it keeps').int('count whole days').nullable();

/** How long it stays good; null is «longer than anyone waits». */
const keeps = z.object({
  sealedDays: keptDays,
  openedDays: keptDays,
  preparedHours: between(0.5, 2400, 'hours that it keeps prepared').nullable(),
});

const caution = z
  .string()
  .trim()
  .min(2, 'say it in a few words')
  .max(120, 'keep it under 120 letters');
const cautions = z.array(caution).max(6, 'keep it to six cautions');

const fields = z.object({
  name,
  family: z.enum(FOOD_FAMILIES),
  kind: z.enum(FOOD_KINDS),
  form: z.enum(FOOD_FORMS),
  composition,
  plantShare: share,
  unit,
  inWater,
  /** What is done before it is served, in order. */
  steps: preparationSteps,
  keeps,
  /** Minutes after which what is left of it is lifted out; null leaves it. */
  liftAfterMin: between(1, 50_000, 'minutes until it is lifted').nullable(),
  cautions: z.object({ people: cautions, fish: cautions }),
  /** The generic food that it began as. */
  copiedFrom: z.string().max(60).nullable(),
});

/** What a food is, apart from its lots. */
export type FoodFields = z.infer<typeof fields>;

const lotFields = z.object({
  amountG: between(0.001, 100_000, 'the amount in grams'),
  /** Price of the whole lot in minor units (cents); null where unknown. */
  costMinor: z.int().min(0, 'a price cannot be negative').max(10_000_000).nullable(),
  place: z.enum(PLACES),
  boughtOn: day,
  openedOn: day.nullable(),
  bestBefore: day.nullable(),
});

type Dates = Pick<z.infer<typeof lotFields>, 'bestBefore' | 'boughtOn' | 'openedOn'>;

/** A lot is bought before it is opened, and before it is past its date. */
const inOrder = <S extends z.ZodType<Dates>>(schema: S) =>
  schema
    .refine((lot) => lot.bestBefore === null || lot.bestBefore >= lot.boughtOn, {
      path: ['bestBefore'],
      message: 'the best-before lies before the day it was bought',
    })
    .refine((lot) => lot.openedOn === null || lot.openedOn >= lot.boughtOn, {
      path: ['openedOn'],
      message: 'it was opened before the day it was bought',
    });

export const lotCreate = inOrder(lotFields.extend({ id }));
export const lotEdit = inOrder(lotFields.omit({ amountG: true }).extend({ version }));
export const lot = lotFields.extend({ id, foodId: id, version, remainingG: z.number() });

/** Counting the shelf: what is really there, written as an event. */
export const lotCount = z.object({
  id,
  day,
  /** When it was counted: what was served before is in it, also where that is sent later. */
  at: instant.optional(),
  remainingG: between(0, 100_000, 'the amount in grams'),
});

const hand = z.string().trim().min(1, 'say whose hand').max(30, 'keep it under 30 letters');

/** «Twenty pinches weighed 1.1 g»: written as an event, and taken back by one. */
export const weighingCreate = z.object({
  id,
  day,
  hand,
  units: between(1, 10_000, 'the number of units weighed'),
  massG: between(0.0001, 10_000, 'the weight of them all in grams'),
});
export const weighingUndo = z.object({ id });
export const weighing = weighingCreate.extend({ id: z.string() });
export type WeighingRow = z.infer<typeof weighing>;

export const foodCreate = fields.extend({ id, lot: lotCreate.nullable() });
export const foodEdit = fields.extend({ version, archived: z.boolean() });
/** Foods and lots as they enter from a file, where they may be known or new. */
export const foodFields = fields;
export const food = fields.extend({
  id,
  version,
  archived: z.boolean(),
  lots: z.array(lot),
  /** Those that stand, oldest first. */
  weighings: z.array(weighing),
  remainingG: z.number(),
  /** Grams that its cultures give on each day from today for good; missing where none gives it. */
  liveG: z.array(z.number()).optional(),
});

export type FoodRow = z.infer<typeof food>;
export type LotRow = z.infer<typeof lot>;
