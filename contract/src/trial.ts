import type { TrialStatus } from '@open-larder/core/trial';
import { TRIAL_KINDS } from '@open-larder/core/trial/kinds';
import { z } from 'zod';
import { between, chosen, day, id, name, version } from './basics';

const fields = z.object({
  name,
  /** On sibling tubs, or in one tank before and after its diet was changed. */
  kind: z.enum(TRIAL_KINDS),
  groupId: chosen('choose the fish that it is about'),
  /** The other side of siblings. */
  otherGroupId: chosen('choose the other side').nullable().default(null),
  from: day,
  /** Of one tank the day on which its diet is changed. */
  changedOn: day.nullable().default(null),
  weeks: between(1, 104, 'weeks'),
  /** The difference in growth that is worth seeing, as a share. */
  difference: between(0.02, 3, 'the difference that is worth seeing'),
  tubsEach: between(1, 40, 'tubs on each side').default(1),
  note: z.string().trim().max(500, 'keep it under 500 letters').default(''),
});

interface Said {
  kind: 'siblings' | 'tank';
  groupId: string;
  otherGroupId: string | null;
  from: string;
  changedOn: string | null;
}
const sided = (one: Said) => (one.kind === 'siblings') === (one.otherGroupId !== null);
const apart = (one: Said) => one.groupId !== one.otherGroupId;
const changes = (one: Said) =>
  one.kind === 'tank' ? one.changedOn !== null && one.changedOn > one.from : one.changedOn === null;

const SIDED = {
  path: ['otherGroupId'],
  message: 'siblings have another side, one tank has none',
};
const APART = { path: ['otherGroupId'], message: 'choose two different groups' };
const CHANGES = {
  path: ['changedOn'],
  message: 'one tank changes its diet after the beginning; siblings do not',
};

export const trialCreate = fields
  .extend({ id })
  .refine(sided, SIDED)
  .refine(apart, APART)
  .refine(changes, CHANGES);
export const trialEdit = fields
  .omit({ kind: true, groupId: true, otherGroupId: true })
  .extend({ version, endedOn: day.nullable(), archived: z.boolean() })
  .refine((one) => one.endedOn === null || one.endedOn >= one.from, {
    path: ['endedOn'],
    message: 'it ends before it begins',
  });

/** Computed by the core on the way out: only its presence is checked. */
const status = z.custom<TrialStatus>(
  (value) => typeof value === 'object' && value !== null && 'sides' in value,
);

/** As read back, with how it stands. */
export const trial = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(TRIAL_KINDS),
  groupId: z.string(),
  groupName: z.string(),
  otherGroupId: z.string().nullable(),
  otherGroupName: z.string().nullable(),
  from: z.string(),
  changedOn: z.string().nullable(),
  endedOn: z.string().nullable(),
  weeks: z.number(),
  difference: z.number(),
  tubsEach: z.number(),
  note: z.string(),
  version: z.number(),
  archived: z.boolean(),
  /** Null where its fish are no longer known. */
  status: status.nullable(),
});

export type TrialRow = z.infer<typeof trial>;
export type TrialCreate = z.infer<typeof trialCreate>;
