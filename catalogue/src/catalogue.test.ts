import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { entryOf, resolveSpecies, SPECIES_DEFAULTS } from './defaults';
import {
  CatalogueError,
  loadCatalogue,
  parseCatalogue,
  parseSpecies,
  readSpeciesSchema,
} from './load';
import { foodRow } from './foods';
import { SPECIES_FIELDS, speciesEntry } from './species';
import { GUILDS, SHAPES } from './vocabulary';

const catalogue = loadCatalogue();
const text = readFileSync(join(__dirname, '..', 'species.csv'), 'utf8');
const schema = readSpeciesSchema();

describe('the shipped catalogue', () => {
  it('holds at least 160 species of many families, shapes and guilds, each sourced', () => {
    expect(catalogue.species.length).toBeGreaterThanOrEqual(160);
    expect(new Set(catalogue.species.map((row) => row.family)).size).toBeGreaterThan(60);
    expect(new Set(catalogue.species.map((row) => row.shape))).toEqual(new Set(SHAPES));
    expect(new Set(catalogue.species.map((row) => row.guild))).toEqual(new Set(GUILDS));
    for (const row of catalogue.species) {
      const sources = [
        row.sourceSize,
        row.sourceWater,
        row.sourceDiet,
        row.sourceBehaviour,
        row.sourceBreeding,
      ];
      expect(sources.every(Boolean)).toBe(true);
    }
  });

  it('names no species twice, under any of its names', () => {
    const names = catalogue.species.map((row) => row.scientific.toLowerCase());
    expect(new Set(names).size).toBe(names.length);
    const common = catalogue.species.map((row) => row.common.toLowerCase());
    expect(common.filter((name, at) => common.indexOf(name) !== at)).toEqual([]);
  });

  it('holds only figures that make sense together', () => {
    for (const row of catalogue.species) {
      expect(row.tempMaxC - row.tempMinC).toBeGreaterThanOrEqual(2);
      expect(row.adultLengthCm * row.gapeShare).toBeLessThan(20);
      for (const light of [row.presenceDay, row.presenceNight]) {
        const sum = Object.values(light).reduce((total, part) => total + part, 0);
        expect(sum).toBeLessThanOrEqual(1.0001);
        expect(sum).toBeGreaterThan(0);
      }
      if (row.guild === 'predator') expect(row.plantShareMax).toBeLessThanOrEqual(0.5);
      if (row.guild === 'plant grazer') expect(row.plantShareMax).toBeGreaterThan(0.5);
    }
  });

  it('holds foods of every family', () => {
    expect(new Set(catalogue.foods.map((row) => row.family)).size).toBe(6);
  });
});

describe('the Table Schema of the species', () => {
  it('describes every column, in the order of the file and of the checks', () => {
    const header = text.slice(0, text.indexOf('\n')).split(',');
    expect(schema.fields.map((field) => field.name)).toEqual(header);
    expect(new Set(header)).toEqual(new Set(['key', ...SPECIES_FIELDS]));
  });

  it('says the same of required columns and limits as the checks do', () => {
    const good = entryOf(catalogue.species[0]!);
    for (const { name, constraints = {} } of schema.fields) {
      if (name === 'key') continue;
      const accepts = (value: unknown) => speciesEntry.safeParse({ ...good, [name]: value });
      const faulty = (value: unknown) =>
        accepts(value).error?.issues.some((issue) => issue.path[0] === name) ?? false;
      if (constraints.required) expect([name, faulty(null)]).toEqual([name, true]);
      if (constraints.maximum !== undefined)
        expect([name, faulty(constraints.maximum * 1.01)]).toEqual([name, true]);
      if (constraints.minimum)
        expect([name, faulty(constraints.minimum * 0.99)]).toEqual([name, true]);
      if (constraints.enum) {
        expect([name, faulty('no such word')]).toEqual([name, true]);
        for (const word of constraints.enum)
          expect([name, word, faulty(word)]).toEqual([name, word, false]);
      }
    }
  });
});

describe('an honest blank', () => {
  it('gets a stated default, is remembered as one, and comes back as a blank', () => {
    const [first] = catalogue.species;
    const blank = { ...entryOf(first!), gapeShare: null, nitrate: null };
    const resolved = resolveSpecies('a-fish', blank);
    expect(resolved.gapeShare).toBeGreaterThan(0);
    expect(resolved.defaulted).toEqual(expect.arrayContaining(['gapeShare', 'nitrate']));
    expect(entryOf(resolved)).toEqual(blank);
  });

  it('every default is a value that a row could hold', () => {
    for (const row of catalogue.species) {
      const filled: Record<string, unknown> = { ...entryOf(row) };
      for (const field of Object.keys(SPECIES_DEFAULTS)) {
        filled[field] = row[field as keyof typeof row];
      }
      expect(speciesEntry.safeParse(filled).error).toBeUndefined();
    }
  });
});

describe('a faulty catalogue', () => {
  const lines = text.trim().split('\n');
  const withLine = (line: string) => [lines[0], lines[1], line].join('\n');
  const read = (csv: string) => () => parseSpecies(csv, schema);

  it('is refused with line and column', () => {
    const line = lines[2] as string;
    expect(read(withLine(line))).not.toThrow();
    expect(read(withLine(lines[1] as string))).toThrow(/line 3: key .* stands twice/);
    expect(
      read(withLine(line.replace(/,(yes|no),(up|terminal|down|sucker),/, ',perhaps,$2,'))),
    ).toThrow(/line 3, entry.stomach/);
    expect(read([lines[0]?.replace(',family', ',clan'), lines[1]].join('\n'))).toThrow(
      /column clan is not in the schema\ncolumn family is missing/,
    );
  });

  const head =
    'key,name,family,kind,form,protein,fat,fibre,ash,moisture,plantShare,unitName,unitPlural,unitMassG,unitStep,keepsOpenedDays,source';
  const good =
    'a-flake,Flake,grain,dry,floats,0.4,0.1,0.03,0.1,0.07,0.3,pinch,pinches,0.05,0.5,90,label analysis';
  const foods =
    (...rows: string[]) =>
    () =>
      parseCatalogue('foods.csv', [head, ...rows].join('\n'), foodRow);

  it('holds for foods too', () => {
    expect(foods(good.replace('floats', 'hovers'))).toThrow(/line 2, form/);
    expect(foods(good, good)).toThrow(/line 3: key a-flake stands twice/);
    expect(foods(good.replace('0.4', '0.9'))).toThrow(/more than 100 %/);
    expect(foods(good.replace('label analysis', ''))).toThrow(CatalogueError);
  });
});
