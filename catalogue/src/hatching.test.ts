import { resolveSpecies, speciesByKey, entryOf } from './defaults';
import { hatchingFor, hatchingsOf } from './hatching';
import { loadCatalogue } from './load';

const { species, hatchings } = loadCatalogue();
const find = (key: string) => species.find((one) => one.key === key)!;
const daysOf = (key: string) => {
  const { hatchDays, swimDays } = find(key).hatching!;
  return { hatch: hatchDays, swim: swimDays };
};

describe('days to hatching and free swimming', () => {
  it.each([
    ['trigonostigma-heteromorpha', 1, 1.5, 4, 5],
    ['nannostomus-marginatus', 1, 2, 5, 6],
    ['carnegiella-strigata', 1, 2, 5, 6],
    ['otocinclus-macrospilus', 2, 3, 4, 6],
    ['corydoras-panda', 3, 5, 6, 8],
    ['corydoras-pygmaeus', 3, 5, 6, 8],
    ['hypancistrus-inspector', 5, 7, 14, 21],
    ['panaqolus-maccus', 5, 7, 14, 21],
    ['rineloricaria-lanceolata', 6, 10, 8, 12],
    ['nematobrycon-palmeri', 1, 1.5, 4.5, 5.5],
    ['hemigrammus-bleheri', 1, 1.5, 4.5, 5.5],
    ['hyphessobrycon-amandae', 1, 1.5, 4.5, 5.5],
    ['polypterus-senegalus', 3, 4, 6, 9],
  ])('of %s are what its breeders see', (key, from, to, swimsFrom, swimsTo) => {
    const { hatch, swim } = daysOf(key);
    expect(hatch).toBeGreaterThan(from);
    expect(hatch).toBeLessThan(to);
    expect(swim).toBeGreaterThan(swimsFrom);
    expect(swim).toBeLessThan(swimsTo);
  });

  it('typed as a range at a temperature are kept there, with a window as wide as the range', () => {
    const typed = {
      ...entryOf(find('hypancistrus-zebra')),
      hatchDegreeDays: Math.sqrt(2 * 6) * 28,
      hatchTempC: 28,
      hatchSpread: Math.sqrt(3),
    };
    const { hatching } = resolveSpecies('own', typed, { hatchings });
    expect(hatching).toMatchObject({ level: 'own', tempC: 28 });
    expect(hatching!.hatchDays / hatching!.unsure).toBeCloseTo(2, 6);
    expect(hatching!.hatchDays * hatching!.unsure).toBeCloseTo(6, 6);
  });

  it('are known of most that lay eggs, at the level of species or genus', () => {
    const near = species.filter(({ hatching }) => hatching && hatching.level !== 'family');
    expect(near.length).toBeGreaterThanOrEqual(120);
  });

  it('are the less sure the farther the relatives', () => {
    const mean = (level: string) => {
      const of = species.flatMap(({ hatching }) =>
        hatching?.level === level ? [hatching.unsure] : [],
      );
      return of.reduce((sum, one) => sum + one, 0) / of.length;
    };
    expect(mean('own')).toBeLessThan(mean('genus'));
    expect(mean('genus')).toBeLessThan(mean('family'));
  });

  it('are unknown where young are born alive, or for an unknown family', () => {
    expect(find('poecilia-reticulata').hatching).toBeNull();
    const strange = { ...find('danio-rerio'), scientific: 'Novus piscis', family: 'Novidae' };
    expect(
      hatchingFor({ ...strange, hatchDegreeDays: null, swimDegreeDays: null }, hatchings),
    ).toBeNull();
  });

  it('of a species with one figure are filled up by its family', () => {
    const sterbai = find('corydoras-sterbai');
    expect(sterbai.swimDegreeDays).toBeNull();
    const { hatchDays, swimDays } = sterbai.hatching!;
    expect(swimDays - hatchDays).toBeGreaterThan(2);
  });

  it('reach a species of the keeper’s own through its genus', () => {
    const entry = { ...entryOf(find('trigonostigma-espei')), common: 'My rasbora' };
    const own = speciesByKey(species, [{ id: 'x', entry }]).get('own-x')!;
    expect(own.hatching).toMatchObject({ taxon: 'Trigonostigma', level: 'genus' });
    const { hatchDays, unsure } = find('trigonostigma-espei').hatching!;
    expect(own.hatching!.hatchDays).toBeCloseTo(hatchDays, 6);
    expect(own.hatching!.unsure).toBeCloseTo(unsure, 6);
    expect(hatchingsOf(species).length).toBeGreaterThan(60);
    expect(resolveSpecies('alone', entry).hatching).toBeNull();
  });
});
