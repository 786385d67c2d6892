import { LIFE_KINDS } from '@open-larder/core/group';
import { MAX_CYCLE_DAYS } from '@open-larder/core/round';
import { TRIGGER_DOES } from '@open-larder/core/water/trigger';
import {
  FEEDING_STYLES,
  FEEDING_STYLE_KEYS,
  type FeedingStyle,
} from '@open-larder/core/feedingStyle';
import type { ImproveWay, PlanAct } from '@open-larder/core/week';
import { z } from 'zod';
import { between, day, id, name, version, weekdays } from './basics';
import { diet, dietFields, dietServing } from './diet';
import { stage } from './stage';

const cycle = z.object({
  days: z
    .int('count whole days')
    .min(1, 'a cycle has at least one day')
    .max(MAX_CYCLE_DAYS, `a cycle has at most ${MAX_CYCLE_DAYS} days`),
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

const feedingStyle = z.object(
  Object.fromEntries(FEEDING_STYLE_KEYS.map((key) => [key, z.enum(FEEDING_STYLES[key])])),
) as unknown as z.ZodType<FeedingStyle>;

/** A water to fill up with, as far as it is known. */
const refill = z.object({
  name,
  tempC: between(0, 90, 'its temperature'),
  gh: between(0, 60, 'its hardness').nullable(),
  tdsMgL: between(0, 20_000, 'its dissolved solids in mg/L').nullable(),
});

/** How a tank's water is changed. */
export const waterPlan = z.object({
  share: between(0.01, 1, 'the share of the water that is changed'),
  everyDays: between(1, 90, 'days between changes').int('count whole days'),
  sourceMgL: between(0, 200, 'nitrate of the new water in mg/L'),
  /** Nitrate that its fish stand, where the keeper knows better than their kinds. */
  capMgL: between(5, 400, 'the nitrate that its fish tolerate in mg/L').nullish(),
  /** Until that day nothing is changed, for a spawn. */
  heldUntil: day.nullish(),
  bucketL: between(0.5, 200, 'litres of a bucket').nullish(),
  /** A dry spell and rain for a group that is to spawn: its steps go before the rhythm until it has spawned. */
  trigger: z
    .object({
      groupId: id,
      steps: z
        .array(
          z.object({
            day,
            does: z.enum(TRIGGER_DOES),
            share: between(0.005, 1, 'the share of the water').nullable(),
            tempC: between(0, 45, 'the temperature that it comes to'),
          }),
        )
        .max(80, 'keep it under 80 steps'),
    })
    .nullish(),
  /** What else is known of the new water, and a second one to mix it with. */
  source: refill.nullish(),
  second: refill.extend({ nitrateMgL: between(0, 200, 'its nitrate in mg/L') }).nullish(),
  /** What the two are mixed to. */
  mixTo: z
    .object({ of: z.enum(['gh', 'tdsMgL']), value: between(0, 20_000, 'what it is mixed to') })
    .nullish(),
});

const monthDay = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'give a day of the year, such as 11-01');
const pinned = z.array(id).max(300, 'keep it under 300');

const fields = z.object({
  cycle,
  /** What the keeper chose; null takes what suits the fish. */
  feedingStyle: feedingStyle.nullable(),
  fasts: z.array(fast).max(60, 'keep it under 60 fasts'),
  /** How the water is changed; null if not said. */
  water: waterPlan.nullable(),
  /** Parts of the year in which it is fed otherwise: the first that holds counts. */
  periods: z
    .array(
      z.object({
        id,
        name,
        when: z.discriminatedUnion('kind', [
          z.object({ kind: z.literal('dates'), from: monthDay, to: monthDay }),
          z.object({
            kind: z.literal('below'),
            tempC: between(0, 40, 'the temperature below which it holds'),
          }),
        ]),
        share: between(0, 2, 'the share of a usual portion'),
        everyDays: between(1, 14, 'days between').int('count whole days'),
        without: z.array(id).max(60, 'leave out at most 60 foods'),
      }),
    )
    .max(12, 'keep at most twelve periods')
    .nullish(),
  /** What stays as it is when the plan is balanced; nothing where it is not said. */
  pins: z.object({ groups: pinned, foods: pinned, moments: pinned, servings: pinned }).nullish(),
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
      context.addIssue({ code: 'custom', path: ['diets'], message: 'a group is listed twice' });
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

/** How far the search for a better plan is. */
export const balancing = z.object({ done: z.number(), of: z.number() });
export type BalancingRow = z.infer<typeof balancing>;

const WAYS = ['leastChange', 'leastWork', 'shy'] as const satisfies readonly ImproveWay[];
/** Computed by the core on the way out: only its presence is checked. */
const act = z.custom<PlanAct>(
  (value) => typeof value === 'object' && value !== null && 'does' in value,
);
/** The ways to better a plan that the server found; what each comes to is simulated where it is looked at. */
export const balancedPlan = z.object({
  found: z.array(z.object({ ways: z.array(z.enum(WAYS)), acts: z.array(act) })),
});
export type BalancedRow = z.infer<typeof balancedPlan>;

/** A line of a keeper's own starting plan: what a serving says, but for amounts and whose it is. */
const startingLine = dietServing.omit({ id: true, ownUnits: true });
const startingFields = z.object({
  name,
  lines: z.array(startingLine).min(1, 'a starting plan has at least one line').max(60),
});
export const startingPlanCreate = startingFields.extend({ id });
export const startingPlanEdit = startingFields.extend({ version, archived: z.boolean() });
export const startingPlan = startingFields.extend({
  id: z.string(),
  version: z.number(),
  archived: z.boolean(),
});
export type StartingPlanRow = z.infer<typeof startingPlan>;

export type PlanRow = z.infer<typeof plan>;
export type PlanEdit = z.infer<typeof planEdit>;
export type SavedPlan = z.infer<typeof savedPlan>;
