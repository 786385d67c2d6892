import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { entryOf, resolveSpecies, SPECIES_DEFAULTS } from './defaults';
import { CatalogueError, loadCatalogue, parseFoods, parseSpecies, readSchema } from './load';
import { FOOD_FIELDS } from './foods';
import { SPECIES_FIELDS, speciesEntry } from './species';
import { FOOD_FAMILIES, FOOD_KINDS, GUILDS, SHAPES } from './vocabulary';

const catalogue = loadCatalogue();
const text = readFileSync(join(__dirname, '..', 'species.csv'), 'utf8');
const schema = readSchema('species');
const foodText = readFileSync(join(__dirname, '..', 'foods.csv'), 'utf8');
const foodSchema = readSchema('foods');

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

  it('holds at least 80 foods of every family and kind, none of them twice', () => {
    expect(catalogue.foods.length).toBeGreaterThanOrEqual(80);
    expect(new Set(catalogue.foods.map((row) => row.family))).toEqual(new Set(FOOD_FAMILIES));
    expect(new Set(catalogue.foods.map((row) => row.kind))).toEqual(new Set(FOOD_KINDS));
    const names = catalogue.foods.map((row) => row.name.toLowerCase());
    expect(new Set(names).size).toBe(names.length);
  });

  it('holds foods whose figures make sense together', () => {
    for (const row of catalogue.foods) {
      const wet = ['frozen', 'live', 'fresh', 'gel'].includes(row.kind);
      if (row.kind === 'dry') expect([row.key, row.moisture < 0.15]).toEqual([row.key, true]);
      // Decapsulated eggs are kept dry, and flies walk on the water: the one is dry, the other lives.
      if (wet) expect([row.key, row.moisture > 0.5]).toEqual([row.key, true]);
      if (row.kind === 'frozen') expect(row.steps[0]?.kind).toBe('thaw');
    }
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

describe('the Table Schema of the foods', () => {
  it('describes every column, in the order of the file', () => {
    const header = foodText.slice(0, foodText.indexOf('\n')).split(',');
    expect(foodSchema.fields.map((field) => field.name)).toEqual(header);
    expect(new Set(header)).toEqual(new Set(['key', ...FOOD_FIELDS]));
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

  it('holds for foods too', () => {
    const rows = foodText.trim().split('\n');
    const good = rows[1] as string;
    const foods =
      (...some: string[]) =>
      () =>
        parseFoods([rows[0], ...some].join('\n'), foodSchema);
    expect(foods(good)).not.toThrow();
    expect(foods(good.replace(',floats,', ',hovers,'))).toThrow(/line 2, entry.form/);
    expect(foods(good, good)).toThrow(/line 3: key .* stands twice/);
    expect(foods(good.replace(',0.46,', ',0.96,'))).toThrow(/more than 100 %/);
    expect(foods(good.replace(/[^,]*$/, ''))).toThrow(CatalogueError);
  });
});
