import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { resolveSpecies, type Species } from './defaults';
import { foodRow, type GenericFood } from './foods';
import { speciesEntry, type SpeciesEntry } from './species';
import { checkAgainst, cellReader, type TableSchema } from './tableSchema';

export class CatalogueError extends Error {
  constructor(
    readonly file: string,
    readonly faults: string[],
  ) {
    super(`${file} has ${faults.length} fault(s):\n${faults.join('\n')}`);
    this.name = 'CatalogueError';
  }
}

/**
 * Read CSV text into validated rows with unique keys.
 * @param readCells how cells become the values that the schema checks
 * @throws CatalogueError naming each bad line and column
 */
export function parseCatalogue<Row extends { key: string }>(
  file: string,
  text: string,
  schema: z.ZodType<Row>,
  readCells: (cells: Record<string, string>) => unknown = (cells) => cells,
): Row[] {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  const faults = parsed.errors.map((error) => `line ${(error.row ?? 0) + 2}: ${error.message}`);
  const rows: Row[] = [];
  const seen = new Set<string>();
  parsed.data.forEach((cells, index) => {
    const line = index + 2;
    const result = schema.safeParse(readCells(cells));
    if (!result.success) {
      for (const issue of result.error.issues) {
        faults.push(`line ${line}, ${issue.path.join('.') || 'row'}: ${issue.message}`);
      }
      return;
    }
    if (seen.has(result.data.key)) faults.push(`line ${line}: key ${result.data.key} stands twice`);
    seen.add(result.data.key);
    rows.push(result.data);
  });
  if (faults.length > 0) throw new CatalogueError(file, faults);
  return rows;
}

const key = z.object({ key: z.string().regex(/^[a-z0-9-]{3,60}$/) });

/** A row of species.csv: its key, and the entry with its blanks. */
const speciesRow = z.preprocess(
  (row) => {
    const { key: name, ...entry } = row as Record<string, unknown>;
    return { row: { key: name }, entry };
  },
  z
    .object({ row: key, entry: speciesEntry })
    .transform(({ row, entry }): { key: string; entry: SpeciesEntry } => ({ ...row, entry })),
);

/** @throws CatalogueError where text and schema do not fit, or a row is at fault */
export function parseSpecies(text: string, schema: TableSchema): Species[] {
  const header = Papa.parse<string[]>(text.slice(0, text.indexOf('\n'))).data[0] ?? [];
  const misfits = checkAgainst(schema, header);
  if (misfits.length > 0) throw new CatalogueError('species.csv', misfits);
  return parseCatalogue('species.csv', text, speciesRow, cellReader(schema)).map((row) =>
    resolveSpecies(row.key, row.entry),
  );
}

const read = (name: string) => readFileSync(join(__dirname, '..', name), 'utf8');
export const readSpeciesSchema = (): TableSchema =>
  JSON.parse(read('species.schema.json')) as TableSchema;

export interface Catalogue {
  species: Species[];
  foods: GenericFood[];
}

/** The shipped catalogue, read from its CSV files and validated. */
export function loadCatalogue(): Catalogue {
  return {
    species: parseSpecies(read('species.csv'), readSpeciesSchema()),
    foods: parseCatalogue('foods.csv', read('foods.csv'), foodRow),
  };
}
