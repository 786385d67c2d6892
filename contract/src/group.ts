import { CAUSES, LIFE_KINDS } from '@open-larder/core/group';
import { BELLIES } from '@open-larder/core/ration';
import { z } from 'zod';
import { between, chosen, day, id, name, phrase, version } from './basics';
import { diet } from './diet';
import { stage } from './stage';
import { training } from './training';

const count = between(0, 100_000, 'a number of fish').int('count whole fish');
const lengthCm = between(0.1, 200, 'length in cm');
const counts = { males: count, females: count, unsexed: count };

/** The keeper was asked about a figure outside what is usual, and says that it is right. */
const confirmed = z.boolean().default(false);

const someFish = {
  path: ['unsexed'],
  message: 'enter at least one fish',
};
const hasFish = (sizes: { males: number; females: number; unsexed: number }) =>
  sizes.males + sizes.females + sizes.unsexed > 0;

const speciesKey = z.string().min(1, 'choose a species').max(60);

export const groupCreate = z
  .object({
    name,
    speciesKey,
    id,
    tankId: id,
    ...counts,
    stage,
    /** Mean total length; null lets the app assume one from species and stage. */
    lengthCm: lengthCm.nullable(),
    day,
    confirmed,
  })
  .refine(hasFish, someFish);

/** A length that a group should have by an age, or at all. */
export const checkpoint = z.object({
  name: phrase,
  lengthCm,
  ageDays: between(1, 10_000, 'an age in days').int('count whole days').nullable(),
});

export const groupEdit = z.object({
  name,
  speciesKey,
  version,
  archived: z.boolean(),
  /** Left as they are where they are not sent. */
  bornOn: day.nullable().optional(),
  checkpoints: z.array(checkpoint).max(6, 'keep at most six checkpoints').optional(),
});

const eventBase = { id, day, note: phrase.default('') };
const adding = <K extends string>(kind: K) =>
  z.object({ ...eventBase, kind: z.literal(kind), ...counts }).refine(hasFish, someFish);

/**
 * What happens to a group, as a keeper enters it. Its size, stage, length and place on any day
 * follow from these alone. Splitting and merging, which touch two groups, have routes of their own.
 */
export const groupEvent = z.discriminatedUnion('kind', [
  adding('arrived'),
  adding('born'),
  z.object({ ...eventBase, kind: z.literal('counted'), ...counts }),
  z
    .object({
      ...eventBase,
      kind: z.literal('died'),
      cause: z.enum(CAUSES).default('unknown'),
      ...counts,
    })
    .refine(hasFish, someFish),
  adding('sold'),
  adding('given'),
  z.object({ ...eventBase, kind: z.literal('moved'), tankId: chosen('say which tank') }),
  z
    .object({
      ...eventBase,
      kind: z.literal('measured'),
      /** The mean. */
      lengthCm,
      /** Of each fish that was measured; null where only the mean is known. */
      lengthsCm: z
        .array(lengthCm)
        .min(1, 'enter at least one length')
        .max(200, 'enter at most 200 lengths')
        .nullable()
        .default(null),
      /** Mean mass of one, where they were weighed. */
      massG: between(0.0001, 100_000, 'mass of one in g').nullable().default(null),
      confirmed,
    })
    .refine(
      ({ lengthCm: mean, lengthsCm }) =>
        lengthsCm === null ||
        Math.abs(lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length - mean) <=
          0.005 * mean,
      { path: ['lengthCm'], message: 'the mean is not that of the lengths that were entered' },
    ),
  z.object({ ...eventBase, kind: z.literal('staged'), stage }),
]);
export type GroupEvent = z.infer<typeof groupEvent>;

/** An event as read back: of any kind, with what was taken back marked. */
export const lifeEvent = z.object({
  id: z.string(),
  groupId: z.string(),
  kind: z.enum(LIFE_KINDS),
  day: z.string(),
  males: z.number().nullable(),
  females: z.number().nullable(),
  unsexed: z.number().nullable(),
  cause: z.enum(CAUSES).nullable(),
  lengthCm: z.number().nullable(),
  lengthsCm: z.array(z.number()).nullable(),
  massG: z.number().nullable(),
  stage: stage.nullable(),
  tankId: z.string().nullable(),
  /** The group that these came from or went to. */
  otherGroupId: z.string().nullable(),
  note: z.string(),
  withdrawn: z.boolean(),
  /** A picture was kept with the measurement. */
  pictured: z.boolean().optional(),
});
export type LifeEventRow = z.infer<typeof lifeEvent>;

/** Take an event back, by a correcting entry; `replacement` says what was right instead. */
export const eventWithdrawal = z.object({ id, replacement: groupEvent.nullable() });

/** Part of a group becomes a group of its own, in the same tank or another. */
export const groupSplit = z
  .object({
    /** The new group. */
    id,
    name,
    tankId: chosen('say which tank'),
    day,
    ...counts,
    /** Set apart for a while, or for good. Set apart means quarantine for the new group. */
    apart: z.boolean(),
    /** What it is from then on; null is what they were, or quarantine for those set apart. */
    stage: stage.nullable().default(null),
    note: phrase.default(''),
  })
  .refine(hasFish, someFish);

/** A whole group joins another of its species, and ends. */
export const groupMerge = z.object({
  id,
  intoGroupId: chosen('say which group'),
  day,
  note: phrase.default(''),
});

/** Several groups move to one tank on one day. */
export const groupMoves = z.object({
  id,
  tankId: id,
  day,
  moves: z
    .array(z.object({ id, groupId: id }))
    .min(1, 'choose at least one group')
    .max(200, 'move at most 200 groups at once'),
});

/** As read back: what passed the limits on its way in. */
export const group = z.object({
  id: z.string(),
  name: z.string(),
  speciesKey: z.string(),
  tankId: z.string(),
  version: z.number(),
  archived: z.boolean(),
  stage,
  /** Last measured mean length; null where none was measured. */
  lengthCm: z.number().nullable(),
  /** In which of the days since then it grew: so many, and since the day that is named. */
  grew: z.object({ days: z.number(), since: z.string().nullable() }),
  size: z.object({
    males: z.number(),
    females: z.number(),
    unsexed: z.number(),
    total: z.number(),
  }),
  /** The day from which ages count; null where it is not known. */
  bornOn: z.string().nullable(),
  checkpoints: z.array(
    z.object({ name: z.string(), lengthCm: z.number(), ageDays: z.number().nullable() }),
  ),
  /** The last day on which each kind of thing happened to it. */
  lastOn: z.partialRecord(z.enum(LIFE_KINDS), z.string()),
  /** How its bellies looked last; null if not observed lately. */
  belly: z.object({ score: z.literal(BELLIES), day: z.string() }).nullable(),
  /** Foods that it was seen to eat, by their ids. */
  eats: z.array(z.string()),
  diet: diet.nullable(),
  /** A food that it is being trained onto. */
  training: training.nullable(),
});
export type Group = z.infer<typeof group>;
