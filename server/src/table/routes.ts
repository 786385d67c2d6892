import type { Sheet, TableName, TableReport } from '@open-larder/contract';
import { readHousehold, todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { speciesOf } from '../species/store';
import { readTable } from './read';
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

export const tableRoutes = {
  async exportTable({ params }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    const species = await speciesOf(scope, catalogue);
    const text = await exportText(scope, params.table, { today, species });
    return { fileName: `${params.table}-${today}.csv`, text };
  },

  async importTable({ params, body }, { scope, clock, catalogue }) {
    const [household, today, species] = [
      await readHousehold(scope),
      await todayOf(scope, clock),
      await speciesOf(scope, catalogue),
    ];
    const { table } = params;
    const { text, write, numbers, days, twice } = body;
    const writing = { numbers, days };
    const sheet = await readTable({ table, text, choice: household, today, species, writing });
    return scope.atomically(async (inside) => {
      // One table at a time: two that are checked at once could both be right, and not together.
      await inside.lock('tables');
      const plan = await TAKES[table](
        { scope: inside, today, species, units: household },
        sheet.lines,
      );
      const report = reportOf(sheet, twice ? plan.verdicts : askedTwice(sheet, plan.verdicts));
      const sound = report.counts.error === 0 && report.lines.length > 0;
      if (write && sound) await plan.write();
      return { ...report, written: write && sound };
    });
  },
} satisfies Partial<Handlers>;

const TWICE = 'is there twice: remove one, or say above that both are right';

/** Lines that are the same to the letter are asked about: one may have been pasted twice. */
function askedTwice(sheet: Sheet, verdicts: readonly Verdict[]): Verdict[] {
  const first = new Map<string, number>();
  return verdicts.map((verdict, at) => {
    const { texts, line } = sheet.lines[at]!;
    const text = JSON.stringify(texts);
    const before = first.get(text);
    if (before === undefined) {
      if (verdict.state === 'new') first.set(text, line);
      return verdict;
    }
    // Where one of a name is all that there can be, the second would be left out without a word.
    const ask =
      verdict.state === 'new'
        ? TWICE
        : 'is there twice: remove one, or give one of them another name';
    return { ...verdict, state: 'error', says: `the same as line ${before}: it ${ask}` };
  });
}

function reportOf(sheet: Sheet, verdicts: readonly Verdict[]): TableReport {
  const lines = sheet.lines.map((line, at) => {
    const { state, says, errors, guesses = {} } = verdicts[at] as Verdict;
    const cells = sheet.columns.map(({ field }, index) => {
      const cell = line.cells[index]!;
      const error = field && errors[field];
      const guess = field && guesses[field];
      const text = line.texts[index] as string;
      if (error) return { text, state: 'error' as const, says: error };
      if (guess && cell.state !== 'error') return { text, state: 'guessed' as const, says: guess };
      return { text, state: cell.state, says: cell.says };
    });
    const fields = new Set(sheet.columns.map((column) => column.field));
    const homeless = Object.entries(errors).filter(([field]) => !fields.has(field));
    const rest = homeless.map(([field, sentence]) =>
      field === '' ? sentence : `${field}: ${sentence}`,
    );
    return { line: line.line, state, cells, says: rest.join('; ') || says };
  });
  const count = (state: Verdict['state']) => lines.filter((line) => line.state === state).length;
  return {
    columns: sheet.columns.map(({ header, title }) => ({ header, title })),
    lines,
    counts: {
      new: count('new'),
      same: count('same'),
      changed: count('changed'),
      error: count('error'),
    },
    written: false,
    doubts: [
      ...sheet.doubts,
      ...(lines.some(({ says }) => says?.endsWith(TWICE)) ? (['twice'] as const) : []),
    ],
    says: lines.length === 0 ? 'There is no line to read below the header.' : null,
  };
}
