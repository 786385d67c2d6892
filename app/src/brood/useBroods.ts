import { speciesByKey, type Species } from '@open-larder/catalogue';
import type { Way } from '@open-larder/catalogue/ways';
import type { BroodRow, Problem } from '@open-larder/contract';
import { api, type Loaded } from '../store';

export interface Brood extends BroodRow {
  species: Species;
  way: Way;
}

export interface Broods {
  ways: readonly Way[];
  /** In the order in which they were begun. */
  all: Brood[];
  /** Those that are not over. */
  kept: Brood[];
}

/** The broods as of today, each with its species and its way of life. */
export function useBroods(): Loaded<Broods> {
  const ways = api.useWaysQuery();
  const broods = api.useBroodsQuery();
  const catalogue = api.useCatalogueQuery();
  const own = api.useSpeciesQuery();
  const known = ways.data;
  if (known && broods.data && catalogue.data && own.data) {
    const species = speciesByKey(catalogue.data.species, own.data);
    const all = broods.data.flatMap((brood): Brood[] => {
      const kind = species.get(brood.speciesKey);
      const way = wayOf(known, brood.breeding ?? kind?.breeding);
      return kind && way ? [{ ...brood, species: kind, way }] : [];
    });
    return { data: { ways: known, all, kept: all.filter(isKept) } };
  }
  const faulty = [ways, broods, catalogue, own].filter(({ error }) => error);
  return {
    problem: faulty[0]?.error as Problem | undefined,
    retry: () => faulty.forEach((one) => void one.refetch()),
  };
}

export const wayOf = (ways: readonly Way[], breeding: string | null | undefined) =>
  ways.find((one) => one.breeding === breeding) ?? ways[0];

const isKept = ({ status }: BroodRow) => status.state.phase !== 'over';
