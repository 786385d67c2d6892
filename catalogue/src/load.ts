import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { resolveSpecies, type Relatives, type Species } from './defaults';
import { cultureEntry, type CultureKind } from './cultures';
import { GROWTH_LEVELS, type GrowthRow } from './growth';
import { HATCH_LEVELS, type HatchingRow } from './hatching';
import { PAIR_LEVELS, type LengthMass } from './lengthMass';
import { checkedFoodEntry, resolveFood, type GenericFood } from './foods';
import type { SexesRow } from './sexes';
import { speciesEntry } from './species';
import { strategyEntry, type BreedingStrategy } from './breedingStrategies';
import { BREEDINGS, SHAPES } from './vocabulary';
import { checkAgainst, cellReader, type TableSchema } from './tableSchema';

export class CatalogueError extends Error {
  constructor(
    readonly file: string,
    readonly errors: string[],
  ) {
    super(`${file} has ${errors.length} fault(s):\n${errors.join('\n')}`);
    this.name = 'CatalogueError';
  }
}

/**
 * Read CSV text into validated rows with unique keys.
 * @param readCells how cells become the values that the schema checks
 * @throws CatalogueError naming each bad line and column
 */
function parseCatalogue<Row extends { key: string }>(
  file: string,
  text: string,
  schema: z.ZodType<Row>,
  readCells: (cells: Record<string, string>) => unknown,
): Row[] {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  const errors = parsed.errors.map((error) => `line ${(error.row ?? 0) + 2}: ${error.message}`);
  const rows: Row[] = [];
  const seen = new Set<string>();
  parsed.data.forEach((cells, index) => {
    const line = index + 2;
    const result = schema.safeParse(readCells(cells));
    if (!result.success) {
      for (const issue of result.error.issues) {
        errors.push(`line ${line}, ${issue.path.join('.') || 'row'}: ${issue.message}`);
      }
      return;
    }
    if (seen.has(result.data.key)) errors.push(`line ${line}: key ${result.data.key} stands twice`);
    seen.add(result.data.key);
    rows.push(result.data);
  });
  if (errors.length > 0) throw new CatalogueError(file, errors);
  return rows;
}

const key = z.object({ key: z.string().regex(/^[a-z0-9-]{3,60}$/) });

/** A row as its key, and the entry with its blanks. */
const rowOf = <Entry>(entry: z.ZodType<Entry>) =>
  z.preprocess(
    (row) => {
      const { key: name, ...rest } = row as Record<string, unknown>;
      return { row: { key: name }, entry: rest };
    },
    z
      .object({ row: key, entry })
      .transform(({ row, entry: read }): { key: string; entry: Entry } => ({
        ...row,
        entry: read as Entry,
      })),
  );

/** @throws CatalogueError where text and schema do not fit, or a row is at fault */
function parseRows<Entry, Row>(
  file: string,
  text: string,
  schema: TableSchema,
  entry: z.ZodType<Entry>,
  resolve: (key: string, entry: Entry) => Row,
): Row[] {
  const header = Papa.parse<string[]>(text.slice(0, text.indexOf('\n'))).data[0] ?? [];
  const misfits = checkAgainst(schema, header);
  if (misfits.length > 0) throw new CatalogueError(file, misfits);
  return parseCatalogue(file, text, rowOf(entry), cellReader(schema)).map((row) =>
    resolve(row.key, row.entry),
  );
}

const days = z.number().min(0.2).max(120);
const hatchingRow = z
  .object({
    taxon: z.string().min(3).max(60),
    level: z.enum(HATCH_LEVELS),
    breeding: z.enum(BREEDINGS).nullable(),
    hatchMinDays: days,
    hatchMaxDays: days,
    swimMinDays: days,
    swimMaxDays: days,
    tempC: z.number().min(5).max(35),
    source: z.string().min(20).max(300),
  })
  .strict()
  .refine((row) => row.hatchMinDays <= row.hatchMaxDays && row.swimMinDays <= row.swimMaxDays, {
    path: ['hatchMaxDays'],
    message: 'the most is not less than the least',
  })
  .refine((row) => row.hatchMinDays <= row.swimMinDays && row.hatchMaxDays <= row.swimMaxDays, {
    path: ['swimMinDays'],
    message: 'a larva hatches before it swims free',
  });

/** Days to hatching and free swimming of species, genera and families. */
export const parseHatching = (text: string, schema: TableSchema): HatchingRow[] =>
  parseCatalogue(
    'hatching.csv',
    text,
    hatchingRow.transform((row) => ({ ...row, key: `${row.taxon} ${row.breeding ?? ''}` })),
    cellReader(schema),
  ).map(({ key: _, ...row }) => row);

const growthRow = z
  .object({
    taxon: z.string().min(3).max(60),
    level: z.enum(GROWTH_LEVELS).exclude(['size']),
    adultCm: z.number().min(0.5).max(300),
    startCm: z.number().min(0.05).max(20),
    lengthCm: z.number().min(0.2).max(300),
    ageDays: z.number().min(10).max(2000),
    source: z.string().min(20).max(300),
  })
  .strict()
  .refine((row) => row.startCm < row.lengthCm && row.lengthCm <= row.adultCm * 0.95, {
    path: ['lengthCm'],
    message: 'a young fish is longer than at birth and not yet full-grown',
  });

/** Usual lengths at an age of species, genera and families. */
export const parseGrowth = (text: string, schema: TableSchema): GrowthRow[] =>
  parseCatalogue(
    'growth.csv',
    text,
    growthRow.transform((row) => ({ ...row, key: row.taxon })),
    cellReader(schema),
  ).map(({ key: _, ...row }) => row);

const lengthMassRow = z
  .object({
    taxon: z.string().min(3).max(60),
    level: z.enum(PAIR_LEVELS),
    shape: z.enum(SHAPES).nullable(),
    a: z.number().min(0.0001).max(1),
    b: z.number().min(2.5).max(3.5),
    spreadLog10: z.number().min(0.01).max(0.5),
    length: z.enum(['total', 'standard']),
    standardShare: z.number().min(0.5).max(1).nullable(),
    source: z.string().min(20).max(300),
  })
  .strict()
  .refine((row) => (row.length === 'standard') === (row.standardShare !== null), {
    path: ['standardShare'],
    message: 'a pair of standard length says what share of total length that is, others do not',
  });

/** Length–mass pairs of species, genera and families. */
export const parseLengthMass = (text: string, schema: TableSchema): LengthMass[] =>
  parseCatalogue(
    'lengthMass.csv',
    text,
    lengthMassRow.transform((row) => ({ ...row, key: `${row.taxon} ${row.shape ?? ''}` })),
    cellReader(schema),
  ).map(({ key: _, ...pair }) => pair);

const sexesRow = z
  .object({
    taxon: z.string().min(3).max(60),
    level: z.enum(HATCH_LEVELS),
    shows: z.string().min(20).max(240),
    source: z.string().min(10).max(300),
  })
  .strict();

/** What tells the sexes of species, genera and families apart. */
export const parseSexes = (text: string, schema: TableSchema): SexesRow[] =>
  parseCatalogue(
    'sexes.csv',
    text,
    sexesRow.transform((row) => ({ ...row, key: row.taxon })),
    cellReader(schema),
  ).map(({ key: _, ...row }) => row);

export const parseSpecies = (
  text: string,
  schema: TableSchema,
  relatives: Partial<Relatives> = {},
): Species[] =>
  parseRows('species.csv', text, schema, speciesEntry, (name, entry) =>
    resolveSpecies(name, entry, relatives),
  );

export const parseFoods = (text: string, schema: TableSchema): GenericFood[] =>
  parseRows('foods.csv', text, schema, checkedFoodEntry, resolveFood);

export const parseCultures = (text: string, schema: TableSchema): CultureKind[] =>
  parseRows('cultures.csv', text, schema, cultureEntry, (key, entry) => ({ key, ...entry }));

export const parseStrategies = (text: string, schema: TableSchema): BreedingStrategy[] =>
  parseRows('breedingStrategies.csv', text, schema, strategyEntry, (key, entry) => ({
    key,
    ...entry,
  }));

const read = (name: string) => readFileSync(join(__dirname, '..', name), 'utf8');
export const readSchema = (
  table:
    | 'species'
    | 'foods'
    | 'cultures'
    | 'breedingStrategies'
    | 'lengthMass'
    | 'hatching'
    | 'growth'
    | 'sexes',
): TableSchema => JSON.parse(read(`${table}.schema.json`)) as TableSchema;

export interface Catalogue extends Relatives {
  species: Species[];
  foods: GenericFood[];
  cultures: CultureKind[];
  strategies: BreedingStrategy[];
  sexes: SexesRow[];
}

/** The shipped catalogue, read from its CSV files and validated. */
export function loadCatalogue(): Catalogue {
  const relatives = {
    pairs: parseLengthMass(read('lengthMass.csv'), readSchema('lengthMass')),
    hatchings: parseHatching(read('hatching.csv'), readSchema('hatching')),
    growths: parseGrowth(read('growth.csv'), readSchema('growth')),
  };
  return {
    ...relatives,
    species: parseSpecies(read('species.csv'), readSchema('species'), relatives),
    foods: parseFoods(read('foods.csv'), readSchema('foods')),
    cultures: parseCultures(read('cultures.csv'), readSchema('cultures')),
    strategies: parseStrategies(read('breedingStrategies.csv'), readSchema('breedingStrategies')),
    sexes: parseSexes(read('sexes.csv'), readSchema('sexes')),
  };
}
