import { z } from 'zod';
import { between, day, id } from './basics';
import { dietServing } from './diet';

const share = between(0, 1, 'a share');

/** What was put in, as it was planned or logged when it was seen: it is learned from as it was. */
const sightedDrop = z.object({
  key: z.string().max(80),
  foodId: id,
  groupId: id,
  atMin: between(-1440, 2880, 'minutes after midnight'),
  massG: between(0, 10_000, 'the grams given'),
  zone: dietServing.shape.zone,
  place: dietServing.shape.place,
  manner: dietServing.shape.manner,
});

const seen = z.object({
  day,
  momentId: id,
  /** Minutes until all of it was gone; null where it was not, or nobody looked. */
  clearedMin: between(0, 1440, 'minutes until it was gone').nullable(),
  /** Share left when it was lifted, in quarters. */
  left: share.nullable(),
  /** By group: all came, some, or none. */
  came: z.array(z.object({ groupId: id, share })).max(60, 'keep it under 60 groups'),
  drops: z.array(sightedDrop).min(1, 'say what was given').max(60, 'keep it under 60 servings'),
  /** Keys of the drops that `clearedMin` and `left` are about; null is all of them. */
  dropKeys: z
    .array(sightedDrop.shape.key)
    .min(1, 'say of what this was seen')
    .max(60, 'keep it under 60 servings')
    .nullable(),
  /** The keeper stops watching, and has nothing to say of it. */
  unwatched: z.boolean(),
});

/** A feeding as a keeper saw it: written as an event, and taken back by one. */
export const sightingCreate = seen
  .extend({ id })
  .refine(
    (one) => one.unwatched || one.clearedMin !== null || one.left !== null || one.came.length > 0,
    { path: ['clearedMin'], message: 'say when it was gone, what was left, or who came' },
  )
  .refine((one) => !one.unwatched || (one.clearedMin === null && one.left === null), {
    path: ['unwatched'],
    message: 'what was not watched was neither seen gone nor seen left',
  })
  .refine(
    (one) =>
      one.dropKeys === null || one.dropKeys.every((key) => one.drops.some((d) => d.key === key)),
    { path: ['dropKeys'], message: 'name only what was given in this meal' },
  )
  .refine((one) => one.clearedMin === null || one.left === null || one.left === 0, {
    path: ['left'],
    message: 'it cannot be gone and left at once',
  });
export const sightingUndo = z.object({ id });
export const sighting = seen.extend({ id: z.string() });

const multiple = between(0.25, 4, 'a multiple of what is expected');
const traits = z.object({
  groupId: id,
  search: multiple,
  taking: multiple,
  coming: multiple,
  sure: z.object({ search: share, taking: share, coming: share }),
  /** Search and taking together, which clearing times cannot tell apart; missing in older rows. */
  eating: z
    .object({ times: between(0.0625, 16, 'a multiple of what is expected'), sure: share })
    .optional(),
});

/** What was learned of a tank's groups. `version` 0 is a tank of which nothing was. */
export const learned = z.object({
  version: z.int().min(0),
  /** Kept as it is, whatever is seen from now on. */
  frozen: z.boolean(),
  /** How many sightings it was learned from. */
  sightings: z.int().min(0).max(1000),
  groups: z.array(traits).max(60, 'keep it under 60 groups'),
});

/** A meal of which something is still in the water: each food has a clock of its own. */
export const mealInWater = z.object({
  tankId: id,
  day: z.string(),
  momentId: id,
  drops: z.array(
    sightedDrop.extend({
      /** When it went in. */
      at: z.string(),
      /** What became of it was said, or it is no longer watched. */
      ended: z.boolean(),
    }),
  ),
});
export type MealInWater = z.infer<typeof mealInWater>;
export type SightingRow = z.infer<typeof sighting>;
export type LearnedRow = z.infer<typeof learned>;
