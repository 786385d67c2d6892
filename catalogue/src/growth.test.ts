import { entryOf, speciesByKey } from './defaults';
import { growthBySize, growthFor } from './growth';
import { loadCatalogue } from './load';

const { species, growths } = loadCatalogue();
const find = (key: string) => species.find((one) => one.key === key)!;

describe('growth of a species', () => {
  it('is its own, else that of its nearest relatives, else by its size', () => {
    expect(find('danio-rerio').growth).toMatchObject({ taxon: 'Danio rerio', level: 'own' });
    expect(find('danio-choprae').growth).toMatchObject({ taxon: 'Danio', level: 'genus' });
    expect(find('rasbora-trilineata').growth).toMatchObject({
      taxon: 'Danionidae',
      level: 'family',
    });
    expect(find('osteoglossum-bicirrhosum').growth.level).toBe('size');
    const typed = { ...entryOf(find('danio-rerio')), growthLinfCm: 5, growthK: 2 };
    expect(growthFor(typed, growths)).toMatchObject({ linfCm: 5, kPerYear: 2, level: 'own' });
  });

  it('is the less sure the farther the relatives', () => {
    const spreads = ['danio-rerio', 'danio-choprae', 'rasbora-trilineata', 'panaque-nigrolineatus'];
    const [own, genus, family] = spreads.map((key) => find(key).growth.spread);
    expect(own).toBeLessThan(genus!);
    expect(genus).toBeLessThan(family!);
    expect(family).toBeLessThan(growthBySize(10).spread);
  });

  it('is known nearer than by size of most of the catalogue', () => {
    const near = species.filter(({ growth }) => growth.level !== 'size');
    expect(near.length).toBeGreaterThanOrEqual(190);
  });

  it('follows size within a family: a small kind grows up sooner', () => {
    const small = find('boraras-merah').growth;
    const large = find('boraras-maculatus').growth;
    expect(small.kPerYear).toBeGreaterThan(large.kPerYear);
  });

  it('by size lies within its band of nine of ten rows of the catalogue', () => {
    const inside = growths.filter((row) => {
      const size = growthBySize(row.adultCm);
      const linf = size.linfCm;
      const k = (-365.25 / row.ageDays) * Math.log((linf - row.lengthCm) / (linf - row.startCm));
      return k < size.kPerYear * size.spread && k > size.kPerYear / size.spread;
    });
    expect(inside.length / growths.length).toBeGreaterThanOrEqual(0.88);
  });

  it('of a species of the keeper’s own is that of its relatives in the catalogue', () => {
    const entry = { ...entryOf(find('trigonostigma-espei')), scientific: 'Trigonostigma nova' };
    const own = speciesByKey(species, [{ id: '1', entry }]).get('own-1')!;
    expect(own.growth.taxon).toBe('Trigonostigma');
    expect(own.growth.kPerYear).toBeCloseTo(find('trigonostigma-espei').growth.kPerYear, 6);
  });
});
