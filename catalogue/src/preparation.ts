import { z } from 'zod';
import { PREPARATIONS } from './vocabulary';

/** One thing that is done to a food before it is served. */
export const preparationStep = z
  .object({
    kind: z.enum(PREPARATIONS, 'choose what is done'),
    /** Minutes from its beginning until the next step, or the meal. */
    leadMin: minutes('time ahead', 20_000),
    /** Minutes of hands in it, for a meal. */
    workMin: minutes('work', 240),
    /** Largest particle that it leaves, mm, where it makes the food smaller; null where it does not. */
    toMm: z
      .number('the size of the pieces must be a number of mm')
      .min(0.02, 'the pieces cannot be smaller than 0.02 mm')
      .max(100, 'the pieces cannot be larger than 100 mm')
      .nullable(),
  })
  .strict()
  .refine((step) => step.workMin <= Math.max(step.leadMin, 1), {
    path: ['workMin'],
    message: 'the work cannot take longer than the step',
  });
export type PreparationStep = z.infer<typeof preparationStep>;

export const preparationSteps = z.array(preparationStep).max(6, 'keep it to six steps');

function minutes(what: string, max: number) {
  const sentence = `${what} must lie between 0 and ${max} minutes`;
  return z.number(sentence).min(0, sentence).max(max, sentence);
}

const WRITTEN = /^([a-z -]+?) (\d+)\/(\d+)(?:\/(\d+(?:\.\d+)?))?$/;

/** A step as a cell of foods.csv holds it: «soak 120/1», «crumble 1/1/2» with the size that is left. */
export const writtenStep = z.string().transform((text, context): PreparationStep => {
  const [, kind, lead, work, size] = WRITTEN.exec(text.trim()) ?? [];
  const step = preparationStep.safeParse({
    kind,
    leadMin: Number(lead),
    workMin: Number(work),
    toMm: size === undefined ? null : Number(size),
  });
  if (step.success) return step.data;
  context.addIssue({
    code: 'custom',
    message: `«${text}» is no preparation; write it such as soak 120/1: minutes ahead and of work`,
  });
  return z.NEVER;
});
