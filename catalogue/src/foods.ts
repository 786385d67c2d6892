import { z } from 'zod';
import { usualInWater } from './inWater';
import { pieceVolumeMm3 } from './piece';
import { writtenStep } from './preparation';
import { FOOD_FAMILIES, FOOD_FORMS, FOOD_KINDS, PIECE_FORMS } from './vocabulary';

const within = (low: number, high: number, what: string) => {
  const sentence = `${what} must lie between ${low} and ${high}`;
  return z.number(sentence).min(low, sentence).max(high, sentence);
};
const share = (what: string) => within(0, 1, `${what}, as a share,`);
const words = z.array(z.string().trim().min(2).max(120)).max(6);
const source = z.string().min(8, 'every group of figures names its source').max(300);
const days = (what: string) => within(1, 3650, what).int().nullable();

/** A generic food with honest blanks: null means that no figure is given. */
export const foodEntry = z
  .object({
    name: z.string().min(2).max(60),
    /** Trade and scientific names, and how people misspell them. */
    otherNames: z.array(z.string().trim().min(2).max(60)).min(5).max(12),
    family: z.enum(FOOD_FAMILIES),
    kind: z.enum(FOOD_KINDS),
    form: z.enum(FOOD_FORMS),
    /** Minutes that it floats before it sinks, and how fast it sinks once it is wet. */
    floatMinutes: within(0, 20_000, 'minutes afloat').nullable(),
    sinkCmPerS: within(0, 30, 'sinking speed in cm/s').nullable(),
    /** Longest side of its pieces in the water, mm. */
    particleMinMm: within(0.001, 400, 'smallest particle in mm').nullable(),
    particleMaxMm: within(0.001, 400, 'largest particle in mm').nullable(),
    pieceForm: z.enum(PIECE_FORMS),
    /** Thickness of flakes, discs and leaves, width of all else, mm. */
    widthMinMm: within(0.001, 400, 'width of the smallest piece in mm'),
    widthMaxMm: within(0.001, 400, 'width of the largest piece in mm'),
    densityGPerCm3: within(0.05, 3, 'density of a piece in g/cm³'),
    /** Composition as fed, shares of mass. */
    protein: share('protein'),
    fat: share('fat'),
    fibre: share('fibre'),
    ash: share('ash'),
    moisture: share('moisture'),
    plantShare: share('plant share'),
    unitName: z.string().min(2).max(30),
    unitPlural: z.string().min(2).max(30),
    unitMassG: within(0.00001, 500, 'mass of one unit in grams'),
    /** Volume of a unit that is not one piece, and what a millilitre of it weighs. */
    unitMl: within(0.001, 100, 'volume of one unit in mL').nullable(),
    bulkGPerMl: within(0.01, 2, 'mass of a millilitre in grams').nullable(),
    unitStep: within(0.05, 10, 'smallest part of a unit'),
    /** What is done before it is served, in order. */
    steps: z.array(writtenStep).max(6),
    keepsSealedDays: days('days that it keeps sealed'),
    keepsOpenedDays: days('days that it keeps opened'),
    keepsPreparedHours: within(0.5, 720, 'hours that it keeps prepared').nullable(),
    /** Minutes after which what is left of it is lifted out. */
    liftAfterMin: within(1, 50_000, 'minutes until it is lifted').nullable(),
    cautionsPeople: words,
    cautionsFish: words,
    sourceComposition: source,
    sourceKeeping: source,
  })
  .strict()
  .refine(
    (row) => row.protein + row.fat + row.fibre + row.ash + row.moisture <= 1.0001,
    'composition adds up to more than 100 %',
  )
  .refine(
    (row) =>
      row.particleMinMm === null ||
      row.particleMaxMm === null ||
      row.particleMinMm <= row.particleMaxMm,
    { path: ['particleMaxMm'], message: 'the particle sizes are upside down' },
  );

/** A unit and what its size says may differ by this factor before the row is refused. */
const MASS_OFF = 1.5;

/** A unit weighs what its size, form and density say; a row in which they disagree is refused. */
export const checkedFoodEntry = foodEntry.superRefine((row, ctx) => {
  const expected = unitMassFromSize(row);
  const off = Math.max(row.unitMassG / expected, expected / row.unitMassG);
  if (off <= MASS_OFF) return;
  ctx.addIssue({
    code: 'custom',
    path: ['unitMassG'],
    message: `one ${row.unitName} is said to weigh ${row.unitMassG} g, its size says ${expected.toPrecision(2)} g`,
  });
});

/** Grams in one unit by its size: a volume of loose food, else one piece of middling size. */
export function unitMassFromSize(row: FoodEntry): number {
  if (row.unitMl !== null && row.bulkGPerMl !== null) return row.unitMl * row.bulkGPerMl;
  const length = Math.sqrt((row.particleMinMm ?? 1) * (row.particleMaxMm ?? 1));
  const width = Math.sqrt(row.widthMinMm * row.widthMaxMm);
  return (pieceVolumeMm3(row.pieceForm, length, width) * row.densityGPerCm3) / 1000;
}

export type FoodEntry = z.infer<typeof foodEntry>;
type FoodField = keyof FoodEntry;

/** What stands in for a blank, field by field. Every one is an assumption, and says so. */
export const FOOD_DEFAULTS = {
  floatMinutes: { says: 'usual for its form', of: (row) => usualInWater(row.form).floatMinutes },
  sinkCmPerS: { says: 'usual for its form', of: (row) => usualInWater(row.form).sinkCmPerS },
  particleMinMm: {
    says: 'a millimetre, where nothing else is known',
    of: (row) => usualInWater(row.form).particleMinMm,
  },
  particleMaxMm: {
    says: 'two millimetres, where nothing else is known',
    of: (row) => usualInWater(row.form).particleMaxMm,
  },
  keepsSealedDays: { says: 'a year, where nothing else is known', of: () => 365 },
  keepsOpenedDays: { says: 'three months, where nothing else is known', of: () => 90 },
  keepsPreparedHours: { says: 'two hours, where nothing else is known', of: () => 2 },
  liftAfterMin: { says: 'a quarter of an hour, where nothing else is known', of: () => 15 },
} satisfies {
  [F in FoodField]?: { says: string; of: (row: FoodEntry) => NonNullable<FoodEntry[F]> };
};

/** A generic food as everything computes with it: stated defaults where its row was blank. */
export type GenericFood = { key: string } & {
  [F in FoodField]: F extends 'unitMl' | 'bulkGPerMl' ? FoodEntry[F] : Exclude<FoodEntry[F], null>;
} & { defaulted: FoodField[] };

/** Put the stated defaults where an entry is blank, and remember where. */
export function resolveFood(key: string, entry: FoodEntry): GenericFood {
  const fields = Object.keys(FOOD_DEFAULTS) as (keyof typeof FOOD_DEFAULTS)[];
  const blank = fields.filter((field) => entry[field] === null);
  const filled = Object.fromEntries(blank.map((field) => [field, FOOD_DEFAULTS[field].of(entry)]));
  return { ...entry, ...filled, key, defaulted: blank } as GenericFood;
}

export const FOOD_FIELDS = Object.keys(foodEntry.shape) as FoodField[];
