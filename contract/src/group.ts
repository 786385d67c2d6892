import { STAGES } from '@open-larder/core';
import { z } from 'zod';
import { between, day, id, name, version } from './basics';
import { diet } from './diet';

const count = between(0, 100_000, 'a number of fish').int('count whole fish');
export const stage = z.enum(STAGES);
const lengthCm = between(0.1, 200, 'length in cm');
const counts = { males: count, females: count, unsexed: count };

const someFish = {
  path: ['unsexed'],
  message: 'enter at least one fish',
};
const hasFish = (sizes: { males: number; females: number; unsexed: number }) =>
  sizes.males + sizes.females + sizes.unsexed > 0;

const fields = z.object({ name, speciesKey: z.string().min(1, 'choose a species').max(60) });

export const groupCreate = fields
  .extend({
    id,
    tankId: id,
    ...counts,
    stage,
    /** Mean total length; null lets the app assume one from species and stage. */
    lengthCm: lengthCm.nullable(),
    day,
  })
  .refine(hasFish, someFish);

export const groupEdit = z.object({ name, version, archived: z.boolean() });

const eventBase = { id, day };
/** What happens to a group. Its size, stage and length on any day follow from these alone. */
export const groupEvent = z.discriminatedUnion('kind', [
  z.object({ ...eventBase, kind: z.literal('arrived'), ...counts }).refine(hasFish, someFish),
  z.object({ ...eventBase, kind: z.literal('counted'), ...counts }),
  z.object({ ...eventBase, kind: z.literal('died'), ...counts }).refine(hasFish, someFish),
  z.object({ ...eventBase, kind: z.literal('measured'), lengthCm }),
  z.object({ ...eventBase, kind: z.literal('staged'), stage }),
]);
export type GroupEvent = z.infer<typeof groupEvent>;

export const group = fields.extend({
  id,
  tankId: id,
  version,
  archived: z.boolean(),
  stage,
  /** Last measured mean length; null where none was measured. */
  lengthCm: lengthCm.nullable(),
  size: z.object({ ...counts, total: count }),
  diet: diet.nullable(),
});
export type Group = z.infer<typeof group>;
