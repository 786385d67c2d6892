import { z } from 'zod';
import { ACTIVITIES, GUILDS, SHAPES, ZONES } from './vocabulary';

const share = z.coerce.number().min(0).max(1);
const source = z.string().min(8, 'every group of figures names its source');
const blankOr = (schema: z.ZodType<number>) =>
  z.preprocess((cell) => (cell === '' || cell == null ? null : cell), schema.nullable());

/** One row of species.csv. Lengths are total length in cm, temperatures in °C. */
export const speciesRow = z
  .object({
    key: z.string().regex(/^[a-z0-9-]{3,60}$/),
    scientific: z.string().min(3).max(80),
    common: z.string().min(2).max(80),
    family: z.string().min(3).max(60),
    guild: z.enum(GUILDS),
    stomach: z.enum(['yes', 'no']).transform((cell) => cell === 'yes'),
    shape: z.enum(SHAPES),
    adultLengthCm: z.coerce.number().min(0.5).max(150),
    /** Published W = a·L^b, grams and cm total length; null where the shape prior stands in. */
    lwA: blankOr(z.coerce.number().min(0.0001).max(0.2)),
    lwB: blankOr(z.coerce.number().min(2).max(4)),
    tempMinC: z.coerce.number().min(0).max(40),
    tempOptC: z.coerce.number().min(0).max(40),
    tempMaxC: z.coerce.number().min(0).max(40),
    phMin: z.coerce.number().min(3).max(11),
    phMax: z.coerce.number().min(3).max(11),
    zone: z.enum(ZONES),
    activity: z.enum(ACTIVITIES),
    /** Width of the open mouth as a share of total length. */
    gapeShare: z.coerce.number().min(0.005).max(0.3),
    usualGroup: z.coerce.number().int().min(1).max(100),
    plantShareMin: share,
    plantShareMax: share,
    sourceSize: source,
    sourceWater: source,
    sourceDiet: source,
  })
  .strict()
  .refine((row) => (row.lwA === null) === (row.lwB === null), 'give both of lwA and lwB or neither')
  .refine(
    (row) => row.tempMinC <= row.tempOptC && row.tempOptC <= row.tempMaxC,
    'temperatures must rise from minimum over optimum to maximum',
  )
  .refine((row) => row.phMin < row.phMax, 'pH range is upside down')
  .refine((row) => row.plantShareMin <= row.plantShareMax, 'plant share band is upside down');

export type Species = z.output<typeof speciesRow>;
