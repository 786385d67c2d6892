import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CULTURE_FIELDS, CULTURE_MODELS } from './cultures';
import { CatalogueError, loadCatalogue, parseCultures, readSchema } from './load';

const { cultures, foods } = loadCatalogue();
const text = readFileSync(join(__dirname, '..', 'cultures.csv'), 'utf8');
const schema = readSchema('cultures');
const find = (key: string) => cultures.find((row) => row.key === key)!;

describe('the kinds of culture', () => {
  it('are at least sixteen, of every way to grow, none of them twice', () => {
    expect(cultures.length).toBeGreaterThanOrEqual(16);
    expect(new Set(cultures.map(({ model }) => model))).toEqual(new Set(CULTURE_MODELS));
    const names = cultures.map(({ name }) => name.toLowerCase());
    expect(new Set(names).size).toBe(names.length);
  });

  it('give foods that the catalogue has', () => {
    const known = new Set(foods.map(({ key }) => key));
    expect(cultures.filter(({ foodKey }) => !known.has(foodKey))).toEqual([]);
  });

  it('stand in columns that the schema describes', () => {
    expect(schema.fields.map(({ name }) => name)).toEqual(['key', ...CULTURE_FIELDS]);
  });

  it('hold figures that make sense together', () => {
    for (const row of cultures) {
      // What lives in it weighs no more than a fifth of its water.
      const grams = ((row.capacity ?? 0) * (row.animalUg ?? 0)) / 1e6;
      if (row.measure === 'L') expect(grams).toBeLessThan(200);
      expect(row.start.length).toBeGreaterThanOrEqual(3);
      expect(row.ruins.length).toBeGreaterThan(0);
    }
  });

  it('know the usual order of things', () => {
    expect(find('moina').capacity).toBeGreaterThan(find('large-water-fleas').capacity!);
    expect(find('microworms').firstDays).toBeLessThan(find('vinegar-worms').firstDays!);
    expect(find('white-worms').tempMaxC).toBeLessThan(find('grindal-worms').tempMaxC);
    expect(find('brine-shrimp').cautionsPeople.join()).toContain('allergy');
  });

  it.each([
    ['a model that there is not', (line: string) => line.replace(',logistic,', ',magic,')],
    ['no growth rates', (line: string) => line.replace(',0.1,0.2,0.28,0.05,', ',,,,,')],
    ['no food', (line: string) => line.replace(',live-water-fleas,', ',,')],
  ])('with %s are refused by line and column', (_, spoil) => {
    const [head, first] = text.split('\n') as [string, string];
    expect(() => parseCultures(`${head}\n${first}`, schema)).not.toThrow();
    expect(() => parseCultures(`${head}\n${spoil(first)}`, schema)).toThrow(CatalogueError);
    expect(() => parseCultures(`${head}\n${spoil(first)}`, schema)).toThrow(/line 2/);
  });
});
