import { FOOD_FAMILIES, FOOD_FORMS, FOOD_KINDS } from '@open-larder/catalogue';
import { z } from 'zod';
import { between, day, id, name, version } from './basics';

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
  step: between(0.05, 10, 'the smallest part a hand can deal'),
});

const fields = z.object({
  name,
  family: z.enum(FOOD_FAMILIES),
  kind: z.enum(FOOD_KINDS),
  form: z.enum(FOOD_FORMS),
  composition,
  plantShare: share,
  unit,
});

const lotFields = z.object({
  amountG: between(0.001, 100_000, 'the amount in grams'),
  /** Price of the whole lot in minor units (cents); null where unknown. */
  costMinor: z.int().min(0, 'a price cannot be negative').max(10_000_000).nullable(),
  boughtOn: day,
  openedOn: day.nullable(),
  bestBefore: day.nullable(),
});

const inOrder = (lot: Pick<z.infer<typeof lotFields>, 'bestBefore' | 'boughtOn'>) =>
  lot.bestBefore === null || lot.bestBefore >= lot.boughtOn;
const orderSentence = {
  path: ['bestBefore'],
  message: 'the best-before lies before the day it was bought',
};

export const lotCreate = lotFields.extend({ id }).refine(inOrder, orderSentence);
export const lotEdit = lotFields
  .omit({ amountG: true })
  .extend({ version })
  .refine(inOrder, orderSentence);
export const lot = lotFields.extend({ id, foodId: id, version, remainingG: z.number() });

/** Counting the shelf: what is really there, written as an event. */
export const lotCount = z.object({
  id,
  day,
  remainingG: between(0, 100_000, 'the amount in grams'),
});

export const foodCreate = fields.extend({ id, lot: lotCreate.nullable() });
export const foodEdit = fields.extend({ version, archived: z.boolean() });
export const food = fields.extend({
  id,
  version,
  archived: z.boolean(),
  lots: z.array(lot),
  remainingG: z.number(),
});

export type FoodRow = z.infer<typeof food>;
export type LotRow = z.infer<typeof lot>;
