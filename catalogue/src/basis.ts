import type { Species } from './defaults';
import type { SpeciesField } from './species';

/** What a figure rests on, the firmest first. */
export const BASES = ['publication', 'practice', 'default', 'unknown'] as const;
export type Basis = (typeof BASES)[number];

/** A year or a named database stands for a publication; all else is common practice of keepers. */
export const basisOfSource = (source: string): Basis =>
  !/^General\b/.test(source) && /\b(?:18|19|20)\d\d\b|\bFishBase\b/.test(source)
    ? 'publication'
    : 'practice';

type SourceField =
  'sourceSize' | 'sourceWater' | 'sourceDiet' | 'sourceBehaviour' | 'sourceBreeding';

/** The source that a figure of a species names. */
const SOURCE_OF: Partial<Record<SpeciesField, SourceField>> = {
  shape: 'sourceSize',
  adultLengthCm: 'sourceSize',
  lwA: 'sourceSize',
  lwB: 'sourceSize',
  growthLinfCm: 'sourceSize',
  growthK: 'sourceSize',
  tempMinC: 'sourceWater',
  tempOptC: 'sourceWater',
  tempMaxC: 'sourceWater',
  appetitePeakC: 'sourceWater',
  phMin: 'sourceWater',
  phMax: 'sourceWater',
  ghMin: 'sourceWater',
  ghMax: 'sourceWater',
  nitrate: 'sourceWater',
  guild: 'sourceDiet',
  stomach: 'sourceDiet',
  mouth: 'sourceDiet',
  gapeShare: 'sourceDiet',
  plantShareMin: 'sourceDiet',
  plantShareMax: 'sourceDiet',
  proteinMin: 'sourceDiet',
  proteinMax: 'sourceDiet',
  takesDry: 'sourceDiet',
  zone: 'sourceBehaviour',
  presenceDay: 'sourceBehaviour',
  presenceNight: 'sourceBehaviour',
  activity: 'sourceBehaviour',
  activityByLight: 'sourceBehaviour',
  boldness: 'sourceBehaviour',
  usualGroup: 'sourceBehaviour',
  femalesPerMale: 'sourceBehaviour',
  nipsFins: 'sourceBehaviour',
  breeding: 'sourceBreeding',
  hatchDegreeDays: 'sourceBreeding',
  swimDegreeDays: 'sourceBreeding',
  larvalLengthMm: 'sourceBreeding',
  lifeYears: 'sourceBreeding',
};
/**
 * A publication names the water that a species lives in and what it was found to eat. These
 * beside them are how keepers keep it, whatever their row's source names.
 */
const PRACTICE = new Set<SpeciesField>([
  ...(['tempOptC', 'appetitePeakC', 'phMin', 'phMax', 'ghMin', 'ghMax', 'nitrate'] as const),
  ...(['stomach', 'mouth', 'gapeShare', 'plantShareMin', 'plantShareMax'] as const),
  ...(['proteinMin', 'proteinMax', 'takesDry'] as const),
]);

/** Fields that are figures, with a source of their own. */
export const FIGURES = Object.keys(SOURCE_OF) as SpeciesField[];

const isEggs = (field: SpeciesField) => field === 'hatchDegreeDays' || field === 'swimDegreeDays';

const isGrowth = (field: SpeciesField) => field === 'growthLinfCm' || field === 'growthK';

/** What a figure of a species rests on. */
export function basisOf(species: Species, field: SpeciesField): Basis {
  if (species.defaulted.includes(field)) return 'default';
  if (species[field] === null) {
    // What is not known of it is taken of its relatives.
    if (isEggs(field) && species.hatching) return basisOfSource(species.hatching.source);
    if (!isGrowth(field)) return 'unknown';
    return species.growth.level === 'size' ? 'default' : basisOfSource(species.growth.source);
  }
  const source = SOURCE_OF[field];
  return source && !PRACTICE.has(field) ? basisOfSource(species[source]) : 'practice';
}
