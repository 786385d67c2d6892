import { speciesNamed } from '@open-larder/catalogue/search';
import {
  MOST_LINES,
  readSheet,
  type Sheet,
  type TableName,
  type TableReport,
} from '@open-larder/contract';
import Papa from 'papaparse';
import { readHousehold, todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { refused } from '../http/problems';
import { speciesOf } from '../species/store';
import { takeEvents } from './events';
import { exportText } from './export';
import { takeFoods } from './foods';
import { takeGroups } from './groups';
import { takeHouse } from './house';
import { takeLots } from './lots';
import { takeRecipes } from './recipes';
import { takeTanks } from './tanks';
import { takeWater } from './water';
import { takeWeighings } from './weighings';
import type { Take, Verdict } from './taking';

const TAKES: Record<TableName, Take> = {
  house: takeHouse,
  tanks: takeTanks,
  groups: takeGroups,
  events: takeEvents,
  foods: takeFoods,
  lots: takeLots,
  weighings: takeWeighings,
  recipes: takeRecipes,
  water: takeWater,
};

export const tableRoutes: Handlers = {
  async exportTable({ params }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    const species = await speciesOf(scope, catalogue);
    const text = await exportText(scope, params.table, { today, species });
    return { fileName: `${params.table}-${today}.csv`, text };
  },

  async importTable({ params, body }, { scope, clock, catalogue }) {
    const [household, today, species] = await Promise.all([
      readHousehold(scope),
      todayOf(scope, clock),
      speciesOf(scope, catalogue),
    ]);
    const sheet = readSheet(params.table, linesOf(body.text), {
      choice: household,
      today,
      speciesNamed: speciesNamed([...species.values()]),
      commonName: (key) => species.get(key)?.common ?? key,
    });
    return scope.atomically(async (inside) => {
      // One table at a time: two that are checked at once could both be right, and not together.
      await inside.lock('tables');
      const plan = await TAKES[params.table]({ scope: inside, today, species }, sheet.lines);
      const report = reportOf(sheet, plan.verdicts);
      const sound = report.counts.fault === 0 && report.lines.length > 0;
      if (body.write && sound) await plan.write();
      return { ...report, written: body.write && sound };
    });
  },
};

/** @throws ProblemError 422 for a text that is no table, or too long a one */
function linesOf(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd());
  if (data.length > MOST_LINES)
    throw refused('text', `a table has at most ${MOST_LINES} lines; divide it`);
  return data.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')));
}

function reportOf(sheet: Sheet, verdicts: readonly Verdict[]): TableReport {
  const lines = sheet.lines.map((line, at) => {
    const { state, says, faults, guesses = {} } = verdicts[at] as Verdict;
    const cells = sheet.columns.map(({ column }, index) => {
      const cell = line.cells[index]!;
      const fault = column && faults[column.field];
      const guess = column && guesses[column.field];
      const text = line.texts[index] as string;
      if (fault) return { text, state: 'fault' as const, says: fault };
      if (guess && cell.state !== 'fault') return { text, state: 'guessed' as const, says: guess };
      return { text, state: cell.state, says: cell.says };
    });
    const fields = new Set(sheet.columns.map(({ column }) => column?.field));
    const homeless = Object.entries(faults).filter(([field]) => !fields.has(field));
    const rest = homeless.map(([field, sentence]) =>
      field === '' ? sentence : `${field}: ${sentence}`,
    );
    return { line: line.line, state, cells, says: rest.join('; ') || says };
  });
  const count = (state: Verdict['state']) => lines.filter((line) => line.state === state).length;
  return {
    columns: sheet.columns.map(({ header, column }) => ({ header, title: column?.title ?? null })),
    lines,
    counts: {
      new: count('new'),
      same: count('same'),
      changed: count('changed'),
      fault: count('fault'),
    },
    written: false,
    says: lines.length === 0 ? 'There is no line to read below the header.' : null,
  };
}
