import type { HATCH_LEVELS } from './hatching';

/** What tells the sexes of a species, genus or family apart, in the words of keepers. */
export interface SexesRow {
  taxon: string;
  level: (typeof HATCH_LEVELS)[number];
  shows: string;
  source: string;
}

/** What tells the sexes of a species apart: its own, else its genus’, else its family’s; null where nothing is known. */
export function sexesFor(
  { scientific, family }: { scientific: string; family: string },
  rows: readonly SexesRow[],
): SexesRow | null {
  for (const taxon of [scientific, scientific.split(' ')[0], family]) {
    const row = rows.find((one) => one.taxon === taxon);
    if (row) return row;
  }
  return null;
}
