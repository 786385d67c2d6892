import type { ServedRow } from '@open-larder/contract';
import Papa from 'papaparse';

/** What was served as CSV: a line a group and food, grams and the currency's main unit. */
export function servedCsv(rows: readonly ServedRow[]): string {
  const lines = rows.map((row) => ({
    tank: row.tankName,
    group: row.groupName,
    food: row.foodName,
    servings: row.servings,
    skipped: row.skipped,
    'offered g': rounded(row.offeredG),
    'refused g': rounded(row.refusedG),
    'left g': rounded(row.leftG),
    'eaten g': rounded(row.offeredG - row.refusedG - row.leftG),
    cost: row.costMinor === null ? '' : rounded(row.costMinor / 100),
  }));
  // A cell that a spreadsheet would run as a formula is written as the text that it is.
  return `${Papa.unparse(lines, { newline: '\n', escapeFormulae: true })}\n`;
}

const rounded = (value: number) => Math.round(value * 1000) / 1000;
