import { loadCatalogue } from './load';
import { FOOD_FIELDS } from './foods';
import { SPECIES_FIELDS } from './species';

/** Read and validate the shipped rows, and say how much of them is known. Fails on the first fault. */
const catalogue = loadCatalogue();

/** Cells that are sourced, that a stated default stands in for, and that stay unknown. */
function cells(rows: readonly object[], fields: readonly string[]): string {
  const of = (row: object, field: string) => (row as Record<string, unknown>)[field];
  const count = (is: (row: object, field: string) => boolean) =>
    rows.reduce<number>((sum, row) => sum + fields.filter((field) => is(row, field)).length, 0);
  const defaulted = count((row, field) => (of(row, 'defaulted') as string[]).includes(field));
  const blank = count((row, field) => of(row, field) === null);
  const all = rows.length * fields.length;
  return `${all - defaulted - blank} cells sourced, ${defaulted} defaulted, ${blank} blank`;
}

const families = new Set(catalogue.species.map((row) => row.family)).size;
process.stdout.write(
  `${catalogue.species.length} species of ${families} families: ${cells(catalogue.species, SPECIES_FIELDS)}.\n` +
    `${catalogue.foods.length} generic foods: ${cells(catalogue.foods, FOOD_FIELDS)}.\n`,
);
