import { READING_RANGE, READINGS } from '@open-larder/core/water/range';
import type { WaterStatus } from '@open-larder/core/water';
import { TRIGGER_DOES } from '@open-larder/core/water/trigger';
import { z } from 'zod';
import { between, day, hand, id, instant, phrase, unreadable } from './basics';

const said = (of: keyof typeof READING_RANGE, what: string) =>
  between(...READING_RANGE[of], what)
    .nullable()
    .default(null);

/** In their bases: ammonia as nitrogen, nitrite as NO2, nitrate as NO3, mg/L; degrees dGH and dKH. */
const readings = {
  tan: said('tan', 'ammonia in mg/L of nitrogen'),
  nitrite: said('nitrite', 'nitrite in mg/L of NO2'),
  nitrate: said('nitrate', 'nitrate in mg/L of NO3'),
  ph: said('ph', 'pH'),
  gh: said('gh', 'hardness in dGH'),
  kh: said('kh', 'carbonate hardness in dKH'),
  tdsMgL: said('tdsMgL', 'dissolved solids in mg/L'),
  tempC: said('tempC', 'temperature in °C'),
};
const share = between(0.005, 1, 'the share of the water');
const base = { id, day, at: instant, hand, note: phrase.default('') };

/** What happened to the water of a tank. A repeated send changes nothing. */
export const waterEventCreate = z.discriminatedUnion('kind', [
  z
    .object({
      ...base,
      kind: z.literal('tested'),
      ...readings,
      /** It was asked about, and is right. */
      sure: z.boolean().default(false),
    })
    .refine((one) => READINGS.some((reading) => one[reading] !== null), {
      path: ['nitrate'],
      message: 'enter at least one reading',
    }),
  z.object({
    ...base,
    kind: z.literal('changed'),
    share,
    tempC: said('tempC', 'temperature of the new water in °C'),
  }),
  z.object({
    ...base,
    kind: z.literal('filledUp'),
    /** More than this did not evaporate: it was changed. */
    share: between(0.005, 0.9, 'the share that had evaporated'),
  }),
]);
export const waterEventUndo = z.object({ id, at: instant });

const number = z.number().nullable();
/** As read back: what does not belong to its kind is null. */
export const waterEvent = z.object({
  id: z.string(),
  tankId: z.string(),
  kind: z.enum(['tested', 'changed', 'filledUp']),
  day: z.string(),
  at: z.string(),
  hand: z.string().nullable(),
  note: z.string(),
  share: number,
  sure: z.boolean(),
  tan: number,
  nitrite: number,
  nitrate: number,
  ph: number,
  gh: number,
  kh: number,
  tdsMgL: number,
  tempC: number,
});

/** Computed by the core on the way out: only its presence is checked. */
const status = z.custom<WaterStatus>(
  (value) => typeof value === 'object' && value !== null && 'days' in value,
);

/** The water of a tank as of today; null where its litres are not known. */
export const water = z.object({
  tankId: z.string(),
  litres: z.number().nullable(),
  status: status.nullable(),
  /** Steps of a trigger from today on; none once they have spawned. */
  trigger: z
    .array(
      z.object({
        day: z.string(),
        does: z.enum(TRIGGER_DOES),
        share: z.number().nullable(),
        tempC: z.number(),
      }),
    )
    .default([]),
});
export const waters = z.object({
  tanks: z.array(water),
  unreadable: z.array(unreadable).optional(),
});

export type WaterEventCreate = z.infer<typeof waterEventCreate>;
export type WaterEventRow = z.infer<typeof waterEvent>;
export type WaterRow = z.infer<typeof water>;
