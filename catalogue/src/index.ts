/**
 * The shipped reference data as types and word lists, safe to import anywhere.
 * Reading the CSV files needs a disk and has its own door: `@open-larder/catalogue/load`;
 * checking a keeper's own species needs validation: `@open-larder/catalogue/species`.
 */
export * from './vocabulary';
export { BASES, basisOf, basisOfSource, FIGURES, type Basis } from './basis';
export { growthBySize, type Growth, type GrowthLevel } from './growth';
export type { Hatching } from './hatching';
export { sexesFor, type SexesRow } from './sexes';
export { ownPair, type LengthMass, type PairLevel } from './lengthMass';
export {
  entryOf,
  OWN,
  resolveSpecies,
  SPECIES_DEFAULTS,
  speciesByKey,
  type Species,
} from './defaults';
export type { ByLight, Presence, SpeciesEntry, SpeciesField } from './species';
export { usualInWater } from './inWater';
export type { GenericFood } from './foods';
export type { PreparationStep } from './preparation';
