import { speciesByKey, type SexesRow, type Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { BroodRow, Problem } from '@open-larder/contract';
import { api, type Loaded } from '../store';

export interface Brood extends BroodRow {
  species: Species;
  strategy: BreedingStrategy;
}

export interface Broods {
  strategies: readonly BreedingStrategy[];
  /** What tells the sexes of fish apart. */
  sexes: readonly SexesRow[];
  /** In the order in which they were begun. */
  all: Brood[];
  /** Those that are not over. */
  kept: Brood[];
}

/** The broods as of today, each with its species and its way of life. */
export function useBroods(): Loaded<Broods> {
  const strategies = api.useStrategiesQuery();
  const broods = api.useBroodsQuery();
  const catalogue = api.useCatalogueQuery();
  const own = api.useSpeciesQuery();
  const known = strategies.data;
  if (known && broods.data && catalogue.data && own.data) {
    const species = speciesByKey(catalogue.data.species, own.data);
    const all = broods.data.flatMap((brood): Brood[] => {
      const kind = species.get(brood.speciesKey);
      const strategy = strategyOf(known.strategies, brood.breeding ?? kind?.breeding);
      return kind && strategy ? [{ ...brood, species: kind, strategy }] : [];
    });
    return {
      data: { strategies: known.strategies, sexes: known.sexes, all, kept: all.filter(isKept) },
    };
  }
  const faulty = [strategies, broods, catalogue, own].filter(({ error }) => error);
  return {
    problem: faulty[0]?.error as Problem | undefined,
    retry: () => faulty.forEach((one) => void one.refetch()),
  };
}

export const strategyOf = (
  strategies: readonly BreedingStrategy[],
  breeding: string | null | undefined,
) => strategies.find((one) => one.breeding === breeding) ?? strategies[0];

const isKept = ({ status }: BroodRow) => status.state.phase !== 'over';
