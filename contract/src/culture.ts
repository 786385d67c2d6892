import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { VesselStatus, WorkReason } from '@open-larder/core/culture';
import { CLARITIES, HARVEST_BY, WORKS } from '@open-larder/core/culture/vocabulary';
import { z } from 'zod';
import { between, day, hand, id, instant, name, phrase, version } from './basics';

/** Rows are validated when the catalogue is loaded; on the wire only their presence is checked. */
export const cultureKind = z.custom<CultureKind>(
  (row) => typeof row === 'object' && row !== null && 'key' in row,
);
export const cultureKinds = z.object({ kinds: z.array(cultureKind) });

const grams = between(0, 5000, 'grams');
const kindKey = z.string('choose a kind').regex(/^[a-z0-9-]{3,60}$/, 'choose a kind');

/** What is said of a vessel, and may be corrected. */
const fields = {
  name,
  /** Litres, square decimetres or jars, as its kind is measured. */
  measure: between(0.05, 5000, 'its size'),
  /** °C, as it usually is. */
  tempC: between(0, 40, 'its temperature'),
  strain: phrase,
  place: phrase,
  /** Where it was started from: «a friend», «dried eggs», another vessel. */
  startedFrom: phrase,
  /** Whence its water comes, and what touches it: those that share either share what ruins them. */
  water: phrase,
  tools: phrase,
  /** The food on the shelf that it gives. */
  foodId: id.nullable(),
  /** A second kind that lives in it. */
  alsoKindKey: kindKey.nullable(),
};

export const vesselCreate = z
  .object({
    id,
    kindKey,
    ...fields,
    startedOn: day,
    at: instant,
    /** Grams it is started with; null for the usual tenth of what it carries. */
    startG: grams.nullable(),
    fromVesselId: id.nullable(),
    /** Put the food that its kind gives on the shelf, where none was chosen and none is there. */
    shelveFood: z.boolean().default(false),
    /** Of the vessel that it is started from, the share that is moved. */
    share: between(0.01, 0.95, 'the share that is moved').nullable(),
    /** How it looks where it was going already when it was entered; null for one that is started now. */
    looks: z
      .object({
        day,
        density: z.literal([1, 2, 3, 4, 5], 'choose how dense it looks'),
        clarity: z.enum(CLARITIES).nullable(),
      })
      .nullable()
      .default(null),
    hand,
  })
  .refine((one) => one.looks === null || one.looks.day >= one.startedOn, {
    path: ['startedOn'],
    message: 'it was started before you looked at it',
  })
  .refine((one) => one.share === null || one.fromVesselId !== null, {
    path: ['fromVesselId'],
    message: 'choose the vessel that the share comes from',
  })
  .refine((one) => one.alsoKindKey !== one.kindKey, {
    path: ['alsoKindKey'],
    message: 'choose another kind, or none',
  });

export const vesselEdit = z.object({ version, ...fields });

const base = { id, day, at: instant, hand, note: phrase.default('') };

/** Something that happened to a vessel. A repeated send changes nothing. */
export const vesselEventCreate = z.discriminatedUnion('kind', [
  z.object({ ...base, kind: z.enum(['fed', 'topped', 'crashed', 'rested', 'woken', 'ended']) }),
  z
    .object({
      ...base,
      kind: z.literal('seen'),
      density: z.literal([1, 2, 3, 4, 5], 'choose how dense it looks').nullable(),
      clarity: z.enum(CLARITIES).nullable(),
    })
    .refine((one) => one.density !== null || one.clarity !== null, {
      path: ['density'],
      message: 'say how dense it is, or how its water looks',
    }),
  z.object({
    ...base,
    kind: z.literal('counted'),
    count: z.int('count whole animals').min(0).max(1_000_000),
    sampleMl: between(0.01, 1000, 'the sample'),
  }),
  z.object({
    ...base,
    kind: z.literal('harvested'),
    massG: between(0.001, 5000, 'a harvest in grams'),
    by: z.enum(HARVEST_BY),
    /** As it was measured: «2 nets». */
    amount: between(0.001, 5000, 'a harvest'),
    /** Of a hatch, how many there were, where they were counted. */
    count: z.int('count whole animals').min(0).max(1_000_000_000).nullable().default(null),
  }),
  z.object({
    ...base,
    kind: z.literal('changed'),
    share: between(0.01, 1, 'the share of water'),
  }),
  z.object({
    ...base,
    kind: z.literal('split'),
    share: between(0.01, 0.95, 'the share that is moved'),
  }),
  z.object({ ...base, kind: z.literal('added'), massG: between(0.001, 5000, 'what was put in') }),
  z.object({ ...base, kind: z.literal('warmth'), tempC: between(0, 40, 'its temperature') }),
  z.object({ ...base, kind: z.literal('restarted'), massG: grams.nullable() }),
]);
export const vesselEventUndo = z.object({ id, at: instant });

export const VESSEL_EVENT_KINDS = [
  'fed',
  'topped',
  'crashed',
  'rested',
  'woken',
  'ended',
  'seen',
  'counted',
  'harvested',
  'changed',
  'split',
  'added',
  'warmth',
  'restarted',
] as const;

/** An event as read back: what does not belong to its kind is null. */
export const vesselEvent = z.object({
  id: z.string(),
  vesselId: z.string(),
  kind: z.enum(VESSEL_EVENT_KINDS),
  day: z.string(),
  at: z.string(),
  hand: z.string().nullable(),
  note: z.string(),
  density: z.number().nullable(),
  clarity: z.enum(CLARITIES).nullable(),
  count: z.number().nullable(),
  sampleMl: z.number().nullable(),
  massG: z.number().nullable(),
  by: z.enum(HARVEST_BY).nullable(),
  amount: z.number().nullable(),
  share: z.number().nullable(),
  tempC: z.number().nullable(),
  /** The serving that it was harvested for, where it went in straight away. */
  feedingId: z.string().nullable(),
});

/** Computed by the core on the way out: only its presence is checked. */
const status = z.custom<VesselStatus>(
  (value) => typeof value === 'object' && value !== null && 'state' in value,
);

const work = z.object({
  what: z.enum(WORKS),
  because: z.custom<WorkReason>(
    (value) => typeof value === 'object' && value !== null && 'is' in value,
  ),
  urgent: z.boolean(),
});

/** A vessel as of today. */
export const vessel = z.object({
  id: z.string(),
  kindKey: z.string(),
  ...fields,
  foodId: z.string().nullable(),
  startedOn: z.string(),
  startG: z.number().nullable(),
  fromVesselId: z.string().nullable(),
  version: z.number(),
  status,
  work: z.array(work),
  /** Of hatches: the share that the keeper's own jars tell, and how many told it. */
  hatch: z.object({ share: z.number(), jars: z.number() }).nullable(),
});

export type VesselFields = z.infer<typeof vesselEdit>;
export type VesselCreate = z.infer<typeof vesselCreate>;
export type VesselEventCreate = z.infer<typeof vesselEventCreate>;
export type VesselEventRow = z.infer<typeof vesselEvent>;
export type VesselRow = z.infer<typeof vessel>;
