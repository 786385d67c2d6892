import { writeSheet, type TableName } from '@open-larder/contract';
import Papa from 'papaparse';
import type { Scope } from '../db';
import { allFoods, foodColumns } from '../food/store';
import { groupsOn, readHistory } from '../group/history';
import { everyEvent } from '../group/life';
import type { Species } from '@open-larder/catalogue';
import { recipes } from '../recipe/store';
import { tanks } from '../tank/store';
import { listEvents } from '../water/store';
import { recipeLines } from './recipes';
import { byIdOrName } from './taking';

type Row = Record<string, unknown>;

/** A table as CSV text, complete, with the units in its headers. */
export async function exportText(
  scope: Scope,
  table: TableName,
  { today, species }: { today: string; species: ReadonlyMap<string, Species> },
): Promise<string> {
  const rows = table === 'house' ? await houseRows(scope, today) : await ROWS[table](scope);
  const named = rows.map((row) =>
    'speciesKey' in row
      ? { ...row, speciesKey: species.get(String(row.speciesKey))?.scientific ?? row.speciesKey }
      : row,
  );
  // A cell that a spreadsheet would run as a formula is written as the text that it is.
  return Papa.unparse(writeSheet(table, named), { newline: '\n', escapeFormulae: true }) + '\n';
}

/** One line a group as it is today, with its tank. */
async function houseRows(scope: Scope, today: string): Promise<Row[]> {
  const [tankRows, history] = await Promise.all([
    tanks(scope, null, null),
    readHistory(scope, null),
  ]);
  const groups = groupsOn(history, today).filter((group) => !group.archived);
  return tankRows
    .filter((tank) => !tank.archived)
    .flatMap((tank): Row[] => {
      const { lengthCm, widthCm, heightCm } = tank;
      const measured = lengthCm !== null && widthCm !== null && heightCm !== null;
      const place = {
        tank: tank.name,
        kind: tank.kind,
        measures: measured ? `${lengthCm} x ${widthCm} x ${heightCm} cm` : null,
        litres: tank.litres,
        tempC: tank.tempC,
        ph: tank.ph,
        gh: tank.gh,
      };
      const inside = groups.filter((group) => group.tankId === tank.id);
      if (inside.length === 0) return [place];
      return inside.map((group) => ({
        ...place,
        speciesKey: group.speciesKey,
        name: group.name,
        males: group.size.males,
        females: group.size.females,
        unsexed: group.size.unsexed,
        lengthCm: group.lengthCm,
        stage: group.stage,
        day: today,
      }));
    });
}

const ROWS: Record<Exclude<TableName, 'house'>, (scope: Scope) => Promise<Row[]>> = {
  tanks: (scope) => tanks(scope, null, null),
  groups: (scope) =>
    scope.rows(
      `SELECT id, name, species_key, ended_on::text FROM groups
        WHERE household_id = :household ORDER BY id`,
    ),
  events: everyEvent,
  foods: async (scope) =>
    (await allFoods(scope)).map((food) => ({ ...food, ...foodColumns(food) })),
  lots: async (scope) => {
    const { foods, nameOf } = await namedFoods(scope);
    return foods.flatMap((food) => food.lots.map((lot) => ({ ...lot, foodId: nameOf(food.id) })));
  },
  weighings: async (scope) => {
    const { foods, nameOf } = await namedFoods(scope);
    return foods.flatMap((food) =>
      food.weighings.map((one) => ({ ...one, foodId: nameOf(food.id) })),
    );
  },
  recipes: async (scope) => {
    const [{ nameOf }, rows] = await Promise.all([namedFoods(scope), recipes(scope, null, null)]);
    return rows.flatMap((recipe) => recipeLines(recipe, nameOf));
  },
  water: async (scope) => {
    const [events, rows] = await Promise.all([
      listEvents(scope, null, '1990-01-01'),
      tanks(scope, null, null),
    ]);
    const byName = byIdOrName(rows);
    const names = new Map(
      rows.map(({ id, name }) => [id, byName(name) === id ? name : id] as const),
    );
    return events.map((event) => ({ ...event, tankId: names.get(event.tankId) ?? event.tankId }));
  },
};

/** Foods, and what a table calls each: its name, or its id where two have the same. */
async function namedFoods(scope: Scope) {
  const foods = await allFoods(scope);
  const byName = byIdOrName(foods);
  const names = new Map(
    foods.map((food) => [food.id, byName(food.name) === food.id ? food.name : food.id]),
  );
  return { foods, nameOf: (id: string) => names.get(id) ?? id };
}
