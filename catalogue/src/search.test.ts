import fc from 'fast-check';
import { loadCatalogue } from './load';
import { nameSearch, speciesNamed, speciesSearch } from './search';

const { species, foods, cultures } = loadCatalogue();
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

  it('a number is another fish by one digit', () => {
    expect(search('L144')).toEqual(['ancistrus-cirrhosus']);
    expect(search('l104')).toEqual(['panaqolus-maccus']);
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

  it.each([
    ['neons', 'paracheirodon-innesi'],
    ['cardinals', 'paracheirodon-axelrodi'],
    ['cpds', 'danio-margaritatus'],
    ['comets', 'carassius-auratus'],
    ['shubunkins', 'carassius-auratus'],
    ['rice fish', 'oryzias-latipes'],
    ['ramshorns', 'planorbella-duryi'],
    ['nerite snails', 'neritina-natalensis'],
  ])('as keepers say it: «%s»', (said, key) => {
    expect(named(said)).toEqual({ key, exact: true });
  });
});

describe('searching for a food or a culture', () => {
  const food = nameSearch(foods);
  const culture = nameSearch(cultures);

  it.each([
    ['bloodworm', 'frozen-midge-larvae'],
    ['blood worms', 'frozen-midge-larvae'],
    ['zucchini', 'courgette-slice'],
    ['algae wafer', 'nettle-wafer-small'],
    ['dafnia', 'live-water-fleas'],
    ['indian almond', 'catappa-leaf'],
    ['artemia nauplii', 'hatched-brine-shrimp'],
    ['chironomus', 'live-midge-larvae'],
    ['vinegar eels', 'vinegar-worms-live'],
    ['panagrellus', 'live-microworms'],
    ['lemna', 'duckweed-fresh'],
    ['soy flour', 'soya-flour'],
    ['betta pellets', 'floating-pellet-small'],
    ['tubefex', 'live-tubifex'],
    ['scuds', 'live-gammarus'],
  ])('«%s» finds %s among the first six', (words, key) => {
    expect(food(words).slice(0, 6)).toContain(key);
  });

  it.each([
    ['vinegar eels', 'vinegar-worms'],
    ['bbs', 'brine-shrimp'],
    ['enchytraeus albidus', 'white-worms'],
    ['paramecium', 'infusoria'],
    ['lumbriculus', 'kept-blackworms'],
    ['drosophila', 'fruit-flies'],
  ])('«%s» finds the culture %s first or second', (words, key) => {
    expect(culture(words).slice(0, 2)).toContain(key);
  });

  it('finds suckermouths by their L-numbers', () => {
    expect(search('L046')[0]).toBe('hypancistrus-zebra');
    expect(search('l177')[0]).toBe('baryancistrus-xanthellus');
  });

  it('knows five other names of each, and finds it by every one', () => {
    for (const { key, otherNames } of foods) {
      expect(otherNames.length).toBeGreaterThanOrEqual(5);
      for (const name of otherNames) expect(food(name)).toContain(key);
    }
    for (const { key, otherNames } of cultures) {
      for (const name of otherNames) expect(culture(name)).toContain(key);
    }
  });
});
