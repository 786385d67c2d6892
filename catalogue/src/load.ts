import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import type { z } from 'zod';
import { foodRow, type GenericFood } from './foods';
import { speciesRow, type Species } from './species';

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
 * @throws CatalogueError naming each bad line and column
 */
export function parseCatalogue<Row extends { key: string }>(
  file: string,
  text: string,
  schema: z.ZodType<Row>,
): Row[] {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  const faults = parsed.errors.map((error) => `line ${(error.row ?? 0) + 2}: ${error.message}`);
  const rows: Row[] = [];
  const seen = new Set<string>();
  parsed.data.forEach((cells, index) => {
    const line = index + 2;
    const result = schema.safeParse(cells);
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

const read = (name: string) => readFileSync(join(__dirname, '..', name), 'utf8');

export interface Catalogue {
  species: Species[];
  foods: GenericFood[];
}

/** The shipped catalogue, read from its CSV files and validated. */
export function loadCatalogue(): Catalogue {
  return {
    species: parseCatalogue('species.csv', read('species.csv'), speciesRow),
    foods: parseCatalogue('foods.csv', read('foods.csv'), foodRow),
  };
}
