import { LIFE_KINDS } from '@open-larder/core/group';
import { MOST_CYCLE_DAYS } from '@open-larder/core/round';
import { SCHOOLS, SCHOOL_KEYS, type School } from '@open-larder/core/school';
import { z } from 'zod';
import { day, id, weekdays } from './basics';
import { diet, dietFields } from './diet';
import { stage } from './stage';

const cycle = z.object({
  days: z
    .int('count whole days')
    .min(1, 'a cycle has at least one day')
    .max(MOST_CYCLE_DAYS, `a cycle has at most ${MOST_CYCLE_DAYS} days`),
  from: day,
});

const when = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('weekly'),
    weekdays: weekdays.min(1, 'choose a weekday').max(6, 'one day of the week must be left to eat'),
  }),
  z.object({ kind: z.literal('dates'), from: day, to: day }).refine((one) => one.from <= one.to, {
    path: ['to'],
    message: 'the fast ends before it begins',
  }),
  z.object({ kind: z.literal('stage'), stage }),
  z.object({ kind: z.literal('until'), from: day, event: z.enum(LIFE_KINDS) }),
]);

const fast = z.object({ id, groupId: id.nullable(), when });

const school = z.object(
  Object.fromEntries(SCHOOL_KEYS.map((key) => [key, z.enum(SCHOOLS[key])])),
) as unknown as z.ZodType<School>;

const fields = z.object({
  cycle,
  /** What the keeper chose; null takes what suits the fish. */
  school: school.nullable(),
  fasts: z.array(fast).max(60, 'keep it under 60 fasts'),
});

const dietOf = dietFields.extend({ groupId: id, version: z.int().min(0) });

/** A tank's plan with the diets of its groups, saved whole. `version` 0 starts a tank's first plan. */
export const planEdit = fields
  .extend({
    version: z.int().min(0),
    diets: z.array(dietOf).max(60, 'keep it under 60 groups'),
  })
  .superRefine((plan, context) => {
    plan.diets.forEach((one, at) => {
      one.servings.forEach((serving, index) => {
        if (serving.days.every((of) => of <= plan.cycle.days)) return;
        context.addIssue({
          code: 'custom',
          path: ['diets', at, 'servings', index, 'days'],
          message: `the cycle has only ${plan.cycle.days} days`,
        });
      });
    });
    if (new Set(plan.diets.map((one) => one.groupId)).size < plan.diets.length) {
      context.addIssue({ code: 'custom', path: ['diets'], message: 'a group stands twice' });
    }
  });

/** As read back: what passed the limits on its way in. */
export const plan = fields.extend({
  version: z.number(),
  validFrom: z.string(),
  cycle: z.object({ days: z.number(), from: z.string() }),
  fasts: z.array(z.object({ id: z.string(), groupId: z.string().nullable(), when })),
});

export const savedPlan = z.object({
  plan,
  diets: z.array(z.object({ groupId: z.string(), diet })),
});

export type PlanRow = z.infer<typeof plan>;
export type PlanEdit = z.infer<typeof planEdit>;
export type SavedPlan = z.infer<typeof savedPlan>;
