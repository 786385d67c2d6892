import type { Account } from '@open-larder/contract';
import Papa from 'papaparse';

const rounded = (value: number | null, places = 3) =>
  value === null ? '' : Math.round(value * 10 ** places) / 10 ** places;
const money = (minor: number | null) => rounded(minor === null ? null : minor / 100, 2);

/** A part of an account as CSV; units stand in the heads, costs in the currency's main unit. */
export function accountCsv(account: Account, part: keyof Account): string {
  // A cell that a spreadsheet would run as a formula is written as the text that it is.
  return `${Papa.unparse(LINES[part](account), { newline: '\n', escapeFormulae: true })}\n`;
}

type Line = Record<string, string | number>;

const LINES: Record<keyof Account, (account: Account) => Line[]> = {
  groups: ({ groups }) =>
    groups.map((row) => ({
      tank: row.tankName,
      group: row.name,
      species: row.speciesKey,
      'fish at first': row.began,
      'fish at last': row.ended,
      died: row.died,
      causes: row.causes.map(({ cause, count }) => `${cause} ${count}`).join('; '),
      'live through 30 days %': rounded(row.over30 && row.over30.share * 100, 1),
      'first measured': row.first?.day ?? '',
      'first mean cm': rounded(row.first?.cm ?? null, 2),
      'last measured': row.last?.day ?? '',
      'last mean cm': rounded(row.last?.cm ?? null, 2),
      'last low cm': rounded(row.last?.low ?? null, 2),
      'last high cm': rounded(row.last?.high ?? null, 2),
      'growth % of mass a day': rounded(row.growthPerDay, 2),
      'usual growth cm': rounded(row.usualCm, 2),
      'eaten g': rounded(row.eatenG),
      'dry food to a gram gained': rounded(row.conversion, 2),
      cost: money(row.costMinor),
    })),
  tanks: ({ tanks }) =>
    tanks.map((row) => ({
      tank: row.name,
      tests: row.tests,
      'nitrate mean mg/L': rounded(row.nitrate?.mean ?? null, 1),
      'nitrate highest mg/L': rounded(row.nitrate?.max ?? null, 1),
      'its fish tolerate mg/L': row.capMgL ?? '',
      'changes of water': row.changes,
      'changed L': rounded(row.litres, 1),
      cost: money(row.costMinor),
    })),
  foods: ({ foods }) =>
    foods.map((row) => ({
      food: row.name,
      family: row.family,
      'offered g': rounded(row.offeredG),
      'refused g': rounded(row.refusedG),
      'left g': rounded(row.leftG),
      cost: money(row.costMinor),
      'colour brighter': row.colour.better,
      'colour as before': row.colour.same,
      'colour duller': row.colour.worse,
      'growth faster': row.growth.better,
      'growth as before': row.growth.same,
      'growth slower': row.growth.worse,
    })),
};
