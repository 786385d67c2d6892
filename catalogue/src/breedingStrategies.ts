import { z } from 'zod';
import { BREEDINGS } from './vocabulary';

/** Who stays with the eggs and larvae. */
export const GUARDS = ['none', 'male', 'female', 'pair', 'either'] as const;

const words = z.array(z.string().trim().min(2).max(160)).max(8);
const phrase = z.string().min(2).max(160);
const within = (low: number, high: number, what: string) => {
  const sentence = `${what} must lie between ${low} and ${high}`;
  return z.number(sentence).min(low, sentence).max(high, sentence).nullable();
};

/** A way of life from spawning to the first food: what is done when, to whom, and who fasts. */
export const strategyEntry = z
  .object({
    breeding: z.enum(BREEDINGS),
    guards: z.enum(GUARDS),
    /** Where the eggs are. */
    eggs: phrase,
    parents: z.enum(['pull', 'stay']),
    parentsRule: phrase,
    fasts: phrase,
    recovers: phrase.nullable(),
    /** For species of it of which nothing better is known; null where there is no such stage. */
    hatchDegreeDays: within(5, 5000, 'degree-days to hatching'),
    swimDegreeDays: within(5, 5000, 'degree-days to free swimming'),
    larvalLengthMm: within(0.3, 60, 'length of a larva in mm'),
    /** Eggs that are stored: the weeks at the least and at the most. */
    storedWeeksMin: within(1, 100, 'weeks of storing'),
    storedWeeksMax: within(1, 100, 'weeks of storing'),
    firstFood: phrase,
    steps: words.min(2, 'say what is done'),
    practices: words,
    cautions: words,
    source: z.string().min(8, 'every group of figures names its source').max(300),
  })
  .strict()
  .refine(
    (row) =>
      row.hatchDegreeDays === null ||
      row.swimDegreeDays === null ||
      row.hatchDegreeDays <= row.swimDegreeDays,
    { path: ['swimDegreeDays'], message: 'they cannot swim before they hatch' },
  )
  .refine((row) => (row.storedWeeksMin === null) === (row.storedWeeksMax === null), {
    path: ['storedWeeksMax'],
    message: 'give both ends of the weeks of storing, or none',
  });

export type WayEntry = z.infer<typeof strategyEntry>;
export type BreedingStrategy = { key: string } & WayEntry;
export const WAY_FIELDS = Object.keys(strategyEntry.shape) as (keyof WayEntry)[];
