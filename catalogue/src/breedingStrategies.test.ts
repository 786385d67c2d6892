import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CatalogueError, loadCatalogue, parseStrategies, readSchema } from './load';
import { BREEDINGS } from './vocabulary';
import { WAY_FIELDS } from './breedingStrategies';

const { strategies, species } = loadCatalogue();
const text = readFileSync(join(__dirname, '..', 'breedingStrategies.csv'), 'utf8');
const schema = readSchema('breedingStrategies');
const find = (key: string) => strategies.find((row) => row.key === key)!;

describe('the ways of life', () => {
  it('are told once for each way in which a species of the catalogue is bred', () => {
    const report = strategies.map(({ breeding }) => breeding);
    expect(new Set(report).size).toBe(report.length);
    const bred = BREEDINGS.filter((one) => one !== 'not bred at home');
    expect(new Set(report)).toEqual(new Set(bred));
    const kept = new Set(species.map(({ breeding }) => breeding));
    kept.delete('not bred at home');
    expect([...kept].filter((one) => !report.includes(one))).toEqual([]);
  });

  it('stand in columns that the schema describes', () => {
    expect(schema.fields.map(({ name }) => name)).toEqual(['key', ...WAY_FIELDS]);
  });

  it('know who guards, who fasts, and what comes first', () => {
    expect(find('mouth-brooder')).toMatchObject({ guards: 'female', parents: 'stay' });
    expect(find('mouth-brooder').fasts).toContain('nothing');
    expect(find('mouth-brooder').recovers).not.toBeNull();
    expect(find('egg-scatterer')).toMatchObject({ guards: 'none', parents: 'pull' });
    expect(find('annual').storedWeeksMin).toBeLessThan(find('annual').storedWeeksMax!);
    expect(find('live-bearer').hatchDegreeDays).toBeNull();
    expect(find('surface-spawner').cautions.join()).toContain('licensed');
  });

  it.each([
    ['a way that there is not', (line: string) => line.replace(',egg scatterer,', ',tea spawner,')],
    ['swimming before hatching', (line: string) => line.replace(',65,130,', ',130,65,')],
    ['no first food', (line: string) => line.replace('"infusoria or rotifers, powder under 100 µm"', '')], // prettier-ignore
  ])('with %s are refused by line', (_, spoil) => {
    const [head, first] = text.split('\n') as [string, string];
    expect(() => parseStrategies(`${head}\n${first}`, schema)).not.toThrow();
    expect(spoil(first)).not.toBe(first);
    expect(() => parseStrategies(`${head}\n${spoil(first)}`, schema)).toThrow(CatalogueError);
    expect(() => parseStrategies(`${head}\n${spoil(first)}`, schema)).toThrow(/line 2/);
  });
});
