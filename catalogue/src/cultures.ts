import { z } from 'zod';

/**
 * How a culture grows: until it is crowded (logistic), all at once (hatch), good for a while (batch),
 * after a while and for long (plateau), by generations, as a film in the light, or not at all (kept).
 */
export const CULTURE_MODELS = [
  'logistic',
  'hatch',
  'batch',
  'plateau',
  'generations',
  'film',
  'kept',
] as const;
export type CultureModel = (typeof CULTURE_MODELS)[number];

/** What a vessel is measured in: litres of water, square decimetres of surface, or jars. */
export const CULTURE_MEASURES = ['L', 'dm2', 'jar'] as const;
export type CultureMeasure = (typeof CULTURE_MEASURES)[number];

export const AERATIONS = ['none', 'gentle', 'strong'] as const;

const within = (low: number, high: number, what: string) => {
  const sentence = `${what} must lie between ${low} and ${high}`;
  return z.number(sentence).min(low, sentence).max(high, sentence);
};
const rate = within(0, 3, 'growth rate a day').nullable();
const days = within(0, 720, 'days').nullable();
const words = z.array(z.string().trim().min(2).max(160)).max(8);
const phrase = z.string().min(2).max(160);
const source = z.string().min(8, 'every group of figures names its source').max(300);
const warmth = within(0, 40, 'temperature in °C');

/** A kind of live-food culture: how it grows, what it gives, and how it is kept. */
export const cultureEntry = z
  .object({
    name: z.string().min(2).max(60),
    /** Trade and scientific names, and how people misspell them. */
    otherNames: z.array(z.string().trim().min(2).max(60)).min(5).max(12),
    model: z.enum(CULTURE_MODELS),
    foodKey: z.string().regex(/^[a-z0-9-]{3,60}$/, 'name the food that it gives'),
    measure: z.enum(CULTURE_MEASURES),
    /** The most that lives in one of its measure: animals, or grams where `animalUg` is blank. */
    capacity: within(0.1, 1e10, 'capacity').nullable(),
    /** Wet mass of one, µg. */
    animalUg: within(0.00001, 1e6, 'mass of one in µg').nullable(),
    /** The side that must fit a mouth, µm: body of fleas, width of worms. */
    sizeMinUm: within(1, 1e6, 'smallest prey in µm'),
    sizeMaxUm: within(1, 1e6, 'largest prey in µm'),
    /** Growth rate while there is room, 1/d, by temperature. */
    r15: rate,
    r20: rate,
    r25: rate,
    r30: rate,
    /** Days at `refC` until it gives, gives in full, fades, and is over. */
    firstDays: days,
    fullDays: days,
    fadeDays: days,
    overDays: days,
    /** What one of its measure gives at its best, grams a day. */
    yieldGPerDay: within(0.001, 1000, 'yield in g a day').nullable(),
    /** Rate or yield lies within the figure divided and multiplied by this, nine times of ten. */
    spread: within(1.05, 5, 'spread of rate or yield'),
    refC: warmth.nullable(),
    tempMinC: warmth,
    tempMaxC: warmth,
    feedWith: phrase,
    feedRule: phrase,
    /** Days between two feedings; null where it is not fed. */
    feedDays: days,
    /** Fed when its water has cleared, not by the calendar alone. */
    clears: z.boolean('answer yes or no'),
    aeration: z.enum(AERATIONS),
    light: phrase,
    waterChange: phrase,
    /** Days between two changes of water; null where it is not changed. */
    changeDays: days,
    /** How it is started, step by step. */
    start: words.min(1, 'say how it is started'),
    harvest: phrase,
    ruins: words,
    /** On what keepers differ: «pure or with snails». */
    practices: words,
    cautionsPeople: words,
    cautionsFish: words,
    upkeepMinWeek: within(0, 600, 'minutes of work a week'),
    sourceGrowth: source,
    sourceKeeping: source,
  })
  .strict()
  .refine((row) => row.sizeMinUm <= row.sizeMaxUm, {
    path: ['sizeMaxUm'],
    message: 'the prey sizes are upside down',
  })
  .refine((row) => row.tempMinC < row.tempMaxC, {
    path: ['tempMaxC'],
    message: 'the temperatures are upside down',
  })
  .refine(
    (row) => row.model !== 'logistic' || [row.r15, row.r20, row.r25, row.r30].every((r) => r !== null), // prettier-ignore
    { path: ['r20'], message: 'a kind that grows until it is crowded needs its growth rates' },
  )
  .refine((row) => row.model !== 'logistic' || row.capacity !== null, {
    path: ['capacity'],
    message: 'a kind that grows until it is crowded needs its capacity',
  })
  .refine((row) => row.model === 'logistic' || inOrder(row), {
    path: ['firstDays'],
    message: 'the days must be given, and in order',
  });

interface Days {
  firstDays: number | null;
  fullDays: number | null;
  fadeDays: number | null;
  overDays: number | null;
  refC: number | null;
}

function inOrder({ firstDays, fullDays, fadeDays, overDays, refC }: Days): boolean {
  const all = [firstDays, fullDays, fadeDays, overDays];
  return (
    refC !== null &&
    all.every((day) => day !== null) &&
    all.every((day, at) => at === 0 || (all[at - 1] as number) <= (day as number))
  );
}

export type CultureEntry = z.infer<typeof cultureEntry>;
export type CultureKind = { key: string } & CultureEntry;
export const CULTURE_FIELDS = Object.keys(cultureEntry.shape) as (keyof CultureEntry)[];
