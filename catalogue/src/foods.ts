import { z } from 'zod';
import { FOOD_FAMILIES, FOOD_FORMS, FOOD_KINDS } from './vocabulary';

const share = z.coerce.number().min(0).max(1);

/** One row of foods.csv: a generic food. Composition as fed, shares of mass; unit mass in grams. */
export const foodRow = z
  .object({
    key: z.string().regex(/^[a-z0-9-]{3,60}$/),
    name: z.string().min(2).max(60),
    family: z.enum(FOOD_FAMILIES),
    kind: z.enum(FOOD_KINDS),
    form: z.enum(FOOD_FORMS),
    protein: share,
    fat: share,
    fibre: share,
    ash: share,
    moisture: share,
    plantShare: share,
    unitName: z.string().min(2).max(30),
    unitPlural: z.string().min(2).max(30),
    unitMassG: z.coerce.number().positive().max(500),
    unitStep: z.coerce.number().positive().max(10),
    keepsOpenedDays: z.coerce.number().int().min(1).max(1500),
    source: z.string().min(8, 'every group of figures names its source'),
  })
  .strict()
  .refine(
    (row) => row.protein + row.fat + row.fibre + row.ash + row.moisture <= 1.0001,
    'composition adds up to more than 100 %',
  );

export type GenericFood = z.output<typeof foodRow>;
