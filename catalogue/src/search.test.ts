import fc from 'fast-check';
import { loadCatalogue } from './load';
import { speciesNamed, speciesSearch } from './search';

const { species } = loadCatalogue();
const search = speciesSearch(species);
const named = speciesNamed(species);

describe('searching for a species', () => {
  it.each([
    ['zebrafish', 'danio-rerio'],
    ['zebra danio', 'danio-rerio'],
    ['galaxy rasbora', 'danio-margaritatus'],
    ['kulhi loach', 'pangio-kuhlii'],
    ['coolie', 'pangio-kuhlii'],
    ['ottocinclus', 'otocinclus-vestitus'],
    ['paracheirodon inesi', 'paracheirodon-innesi'],
    ['neon tet', 'paracheirodon-innesi'],
    ['krib', 'pelvicachromis-pulcher'],
    ['Apistogrma cacatuoides', 'apistogramma-cacatuoides'],
    ['cherry shrmp', 'neocaridina-davidi'],
    ['MYSTERY SNAIL', 'pomacea-diffusa'],
  ])('«%s» finds %s among the first three', (words, key) => {
    expect(search(words).slice(0, 3)).toContain(key);
  });

  it('finds whole families, and all where nothing was typed', () => {
    const cichlids = species.filter((row) => row.family === 'Cichlidae').length;
    expect(search('cichlidae').length).toBeGreaterThanOrEqual(cichlids);
    expect(search(' ')).toHaveLength(species.length);
  });

  it('finds every species first by its own scientific name', () => {
    for (const row of species) expect(search(row.scientific)[0]).toBe(row.key);
  });

  it('takes any garbage', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (words) => {
        expect(Array.isArray(search(words))).toBe(true);
      }),
    );
  });
});

describe('a name in a table', () => {
  it('is exact in any case and number, near where it is misspelt, and nothing where it is none', () => {
    expect(named('Kuhli Loaches')).toEqual({ key: 'pangio-kuhlii', exact: true });
    expect(named('danio rerio')).toEqual({ key: 'danio-rerio', exact: true });
    expect(named('guppies')).toEqual({ key: 'poecilia-reticulata', exact: true });
    expect(named('gupy')).toEqual({ key: 'poecilia-reticulata', exact: false });
    expect(named('submarine')).toBeNull();
    expect(named('')).toBeNull();
  });
});
