import type { Species } from '@open-larder/catalogue';
import { speciesSearch } from '@open-larder/catalogue/search';

type Search = (words: string) => string[];
type SpeciesMap = ReadonlyMap<string, Species>;

const known = new WeakMap<SpeciesMap, Search>();

/** The search among these species: indexed once, however often a list or a picker is opened. */
export function searchIn(species: SpeciesMap): Search {
  let search = known.get(species);
  if (!search) {
    search = speciesSearch([...species.values()]);
    known.set(species, search);
  }
  return search;
}
