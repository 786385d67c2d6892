import type { Species } from '@open-larder/catalogue';
import { searchIn } from './searchIn';

type Search = (words: string) => string[];

const nothing: ReadonlyMap<string, Species> = new Map();

/** The search among species that forgives spelling. */
export const useSpeciesSearch = (species: ReadonlyMap<string, Species> = nothing): Search =>
  searchIn(species);
