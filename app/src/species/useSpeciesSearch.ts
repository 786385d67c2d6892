import type { Species } from '@open-larder/catalogue';
import { useEffect, useState } from 'react';
import { matches } from '../ui';

type Search = (words: string) => string[];

const nothing: ReadonlyMap<string, Species> = new Map();

/**
 * The search among species that forgives spelling. Its package loads when it is first wanted;
 * until it is there, only words as they are written are found.
 */
export function useSpeciesSearch(species: ReadonlyMap<string, Species> = nothing): Search {
  const [searchIn, setSearchIn] = useState<{ of: (rows: typeof species) => Search } | null>(null);
  useEffect(() => {
    let wanted = true;
    import('./searchIn').then(
      (loaded) => {
        if (wanted) setSearchIn({ of: loaded.searchIn });
      },
      // Without a connection it does not come, and the words themselves are still found.
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  return searchIn ? searchIn.of(species) : (words) => plainly(species, words);
}

function plainly(species: ReadonlyMap<string, Species>, words: string): string[] {
  return [...species.values()]
    .filter((row) => matches(`${row.common} ${row.otherNames.join(' ')} ${row.scientific}`, words))
    .sort((a, b) => (a.common < b.common ? -1 : 1))
    .map((row) => row.key);
}
