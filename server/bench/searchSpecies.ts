import { performance } from 'node:perf_hooks';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { speciesSearch } from '@open-larder/catalogue/search';
import { row } from './bench';

const TYPED = ['kulhi loach', 'neon tet', 'Apistogrma cacatuoides', 'galaxy rasbora', 'snail'];
const RUNS = 200;

/** A search that forgives spelling, against one that only asks whether the words stand there. */
export function searchSpecies(): void {
  const { species } = loadCatalogue();
  const search = speciesSearch(species);
  const texts = species.map((one) =>
    [one.common, ...one.otherNames, one.scientific, one.family].join(' ').toLowerCase(),
  );
  const plain = (words: string) =>
    texts.filter((text) =>
      words
        .toLowerCase()
        .split(' ')
        .every((word) => text.includes(word)),
    );
  const ours = perSearch(search);
  const base = perSearch(plain);
  row(
    `search ${species.length} species in spite of spelling`,
    `${ours.toFixed(2)} ms`,
    `${base.toFixed(2)} ms`,
    ours / base,
    'under 50 ms',
  );
}

function perSearch(search: (words: string) => unknown): number {
  for (const words of TYPED) search(words);
  const begin = performance.now();
  for (let run = 0; run < RUNS; run += 1) for (const words of TYPED) search(words);
  return (performance.now() - begin) / (RUNS * TYPED.length);
}
