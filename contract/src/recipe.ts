import { PLACES } from '@open-larder/core/stock';
import { z } from 'zod';
import { between, chosen, day, id, name, version } from './basics';

const ingredient = z.object({
  /** Null is water. */
  foodId: chosen('choose a food, or water').nullable(),
  /** Share of all that goes in. */
  share: between(0, 1, 'a share of the mix'),
  /** A binder keeps its share when the mix is balanced. */
  binder: z.boolean(),
});

const cut = (what: string) => between(1, 200, what).int(`${what} must be a whole number`);

const tray = z.object({
  lengthCm: between(1, 200, 'the length of the tray in cm'),
  widthCm: between(1, 200, 'the width of the tray in cm'),
  depthCm: between(0.1, 20, 'how deep it is poured, in cm,'),
  columns: cut('pieces along the tray'),
  rows: cut('pieces across the tray'),
});

const band = z
  .tuple([between(0, 1, 'the least share'), between(0, 1, 'the greatest share')])
  .refine(([low, high]) => low <= high, 'the least is more than the greatest')
  .nullable();

const targets = z.object({ protein: band, fat: band, plant: band, moisture: band });

const fields = z.object({
  name,
  /** Set and kept cold, or frozen. */
  kind: z.enum(['gel', 'mix']),
  place: z.enum(PLACES),
  /** Days that it keeps there once it is made. */
  keepsDays: between(1, 3650, 'days that it keeps').int('count whole days'),
  ingredients: z
    .array(ingredient)
    .min(1, 'a mix needs an ingredient')
    .max(20, 'keep it to twenty ingredients')
    .refine(
      (all) => new Set(all.map((one) => one.foodId)).size === all.length,
      'an ingredient is listed twice',
    ),
  /** Shares of all that goes in that leave as steam, and with what drains off. */
  cooked: between(0, 0.9, 'what is lost in cooking'),
  drained: between(0, 0.9, 'what drains off'),
  tray,
  targets,
  /** How it is made, in the keeper's words. */
  method: z.string().trim().max(2000, 'keep it under 2000 letters'),
});
export type RecipeFields = z.infer<typeof fields>;

/** Shares make a whole, and something is left of it. */
const whole = <S extends z.ZodType<Pick<RecipeFields, 'ingredients' | 'cooked' | 'drained'>>>(
  schema: S,
) =>
  schema
    .superRefine(({ ingredients }, context) => {
      const sum = ingredients.reduce((all, one) => all + one.share, 0);
      if (Math.abs(sum - 1) <= 0.001) return;
      context.addIssue({
        code: 'custom',
        path: ['ingredients'],
        message: `the shares add up to ${(sum * 100).toFixed(1)} %; they must make 100 %`,
      });
    })
    .refine(({ cooked, drained }) => cooked + drained <= 0.95, {
      path: ['drained'],
      message: 'cooking and draining leave nothing of it',
    });

export const recipeCreate = whole(
  fields.extend({
    id,
    /** The food that it makes, which comes to the shelf with it. */
    foodId: id,
  }),
);
export const recipeEdit = whole(fields.extend({ version, archived: z.boolean() }));

const batch = z.object({ id, lotId: id, day: z.string(), massG: z.number() });

export const recipe = fields.extend({
  id,
  foodId: id,
  version,
  archived: z.boolean(),
  /** Those that stand, newest first. */
  batches: z.array(batch),
});
export type RecipeRow = z.infer<typeof recipe>;
export type RecipeEdit = z.infer<typeof recipeEdit>;

export const batchCreate = z.object({
  id,
  /** The lot that it comes to the shelf as. */
  lotId: id,
  day,
  /** Grams after cooking and draining. */
  massG: between(0.1, 100_000, 'the batch in grams'),
});
export const batchUndo = z.object({ id });

/** The recipe with its new batch, and what the shelf did not have. */
export const batchReceipt = z.object({
  recipe,
  short: z.array(z.object({ foodId: id, massG: z.number() })),
});

export const labelsQuery = z.object({
  /** How many labels. */
  copies: z.coerce.number().int().min(1).max(200).default(14),
});

/** A file to print, in base 64. */
export const printed = z.object({ fileName: z.string(), base64: z.string() });
