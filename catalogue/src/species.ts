import { z } from 'zod';
import {
  ACTIVITIES,
  BREEDINGS,
  GUILDS,
  MOUTHS,
  NITRATE_CLASSES,
  SHAPES,
  ZONES,
} from './vocabulary';

const within = (low: number, high: number, what: string) => {
  const sentence = `${what} must lie between ${low} and ${high}`;
  return z.number(sentence).min(low, sentence).max(high, sentence);
};
const share = (what: string) => within(0, 1, `${what}, as a share,`);
const words = z
  .array(z.string().trim().min(2).max(120, 'keep each entry under 120 letters'))
  .max(12, 'keep it to twelve entries');
const source = z
  .string()
  .trim()
  .min(8, 'say where these figures come from, in a few words')
  .max(300, 'keep a source under 300 letters');

/** Shares of its time that a fish feeds in each zone; what is missing to 1 it spends in shelter. */
export const presence = z
  .record(z.enum(ZONES), share('presence in a zone'))
  .refine(
    (zones) => Object.values(zones).reduce((sum, part) => sum + part, 0) <= 1.0001,
    'the zones add up to more than all of the time',
  );
export type Presence = z.infer<typeof presence>;

/** How ready a fish is to feed by day, at dusk and by night, 0 to 1. */
export const byLight = z.object({
  day: share('activity by day'),
  dusk: share('activity at dusk'),
  night: share('activity by night'),
});
export type ByLight = z.infer<typeof byLight>;

const fields = z
  .object({
    scientific: z.string().trim().min(3, 'give its scientific name, or a working one').max(80),
    common: z.string().trim().min(2, 'give it a name').max(80),
    otherNames: words,
    family: z.string().trim().min(3, 'name its family').max(60),
    shape: z.enum(SHAPES),
    /** Total length in cm; tip of rostrum to tail in shrimps, height of the shell in snails. */
    adultLengthCm: within(0.5, 150, 'adult length in cm'),
    /** Published W = a·L^b, grams and cm total length; null where the shape prior stands in. */
    lwA: within(0.0001, 1, 'a of the length-weight pair').nullable(),
    lwB: within(2, 4, 'b of the length-weight pair').nullable(),
    tempMinC: within(0, 40, 'lowest temperature in °C'),
    tempOptC: within(0, 40, 'optimum temperature in °C'),
    tempMaxC: within(0, 40, 'highest temperature in °C'),
    /** Where it eats most; above it appetite rises no further. */
    appetitePeakC: within(0, 40, 'temperature of greatest appetite in °C').nullable(),
    phMin: within(3, 11, 'lowest pH'),
    phMax: within(3, 11, 'highest pH'),
    ghMin: within(0, 60, 'lowest hardness in dGH'),
    ghMax: within(0, 60, 'highest hardness in dGH'),
    nitrate: z.enum(NITRATE_CLASSES).nullable(),
    guild: z.enum(GUILDS),
    stomach: z.boolean(),
    mouth: z.enum(MOUTHS),
    /** Width of the open mouth as a share of total length. */
    gapeShare: within(0.005, 0.3, 'width of the mouth, as a share of length,').nullable(),
    plantShareMin: share('least plant share').nullable(),
    plantShareMax: share('greatest plant share').nullable(),
    /** Crude protein as a share of the dry matter of all that it eats. */
    proteinMin: share('least protein').nullable(),
    proteinMax: share('greatest protein').nullable(),
    /** How readily a settled one takes dry food, 0..1. */
    takesDry: share('readiness to take dry food').nullable(),
    capped: words,
    harmful: words,
    zone: z.enum(ZONES),
    presenceDay: presence.nullable(),
    presenceNight: presence.nullable(),
    activity: z.enum(ACTIVITIES),
    activityByLight: byLight.nullable(),
    /** Who comes first: 0 hangs back, 1 takes everything. */
    boldness: share('boldness'),
    usualGroup: within(1, 100, 'usual number in a group').int('count whole fish'),
    femalesPerMale: within(0.1, 20, 'females to a male').nullable(),
    nipsFins: z.boolean().nullable(),
    breeding: z.enum(BREEDINGS),
    /** Degree-days over 0 °C from laying to hatching, and to swimming free. */
    hatchDegreeDays: within(5, 5000, 'degree-days to hatching').nullable(),
    swimDegreeDays: within(5, 5000, 'degree-days to free swimming').nullable(),
    /** Temperature at which they are known, °C; null for its optimum. */
    hatchTempC: within(3, 36, 'temperature of the eggs').nullable(),
    /** Days lie within the middle divided and multiplied by this; null for what is usual. */
    hatchSpread: within(1, 3, 'spread of the days to hatching').nullable(),
    larvalLengthMm: within(0.3, 60, 'length of a larva in mm').nullable(),
    lifeYears: within(0.2, 120, 'life span in years').nullable(),
    /** Von Bertalanffy, published: L∞ in cm total length and K per year. */
    growthLinfCm: within(0.5, 300, 'L∞ in cm').nullable(),
    growthK: within(0.01, 20, 'K a year').nullable(),
    cautions: words,
    sourceSize: source,
    sourceWater: source,
    sourceDiet: source,
    sourceBehaviour: source,
    sourceBreeding: source,
  })
  .strict();

type Fields = z.infer<typeof fields>;
export type SpeciesField = keyof Fields;

const bothOrNeither = (a: unknown, b: unknown) => (a === null) === (b === null);
const upright = (low: number | null, high: number | null) =>
  low === null || high === null || low <= high;

/** A species with honest blanks: null means that no figure is given, and a default stands in. */
export const speciesEntry = fields
  .refine((row) => bothOrNeither(row.lwA, row.lwB), {
    path: ['lwB'],
    message: 'give both of a and b of the length-weight pair, or neither',
  })
  .refine((row) => bothOrNeither(row.growthLinfCm, row.growthK), {
    path: ['growthK'],
    message: 'give both of L∞ and K, or neither',
  })
  .refine((row) => row.tempMinC <= row.tempOptC && row.tempOptC <= row.tempMaxC, {
    path: ['tempOptC'],
    message: 'temperatures must rise from lowest over optimum to highest',
  })
  .refine((row) => row.phMin <= row.phMax, {
    path: ['phMax'],
    message: 'the pH range is upside down',
  })
  .refine((row) => row.ghMin <= row.ghMax, {
    path: ['ghMax'],
    message: 'the hardness range is upside down',
  })
  .refine((row) => bothOrNeither(row.plantShareMin, row.plantShareMax), {
    path: ['plantShareMax'],
    message: 'give both ends of the plant share, or neither',
  })
  .refine((row) => upright(row.plantShareMin, row.plantShareMax), {
    path: ['plantShareMax'],
    message: 'the plant share is upside down',
  })
  .refine((row) => bothOrNeither(row.proteinMin, row.proteinMax), {
    path: ['proteinMax'],
    message: 'give both ends of the protein band, or neither',
  })
  .refine((row) => upright(row.proteinMin, row.proteinMax), {
    path: ['proteinMax'],
    message: 'the protein band is upside down',
  })
  .refine((row) => upright(row.hatchDegreeDays, row.swimDegreeDays), {
    path: ['swimDegreeDays'],
    message: 'a larva hatches before it swims free',
  });

export type SpeciesEntry = z.infer<typeof speciesEntry>;

/** The names of all fields, in the order of the columns of species.csv. */
export const SPECIES_FIELDS = Object.keys(fields.shape) as SpeciesField[];
