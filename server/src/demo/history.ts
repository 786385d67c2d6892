import { addDays } from '@open-larder/core';
import type { Catalogue } from '@open-larder/catalogue/load';
import { localDay } from '../clock';
import { foodColumns } from '../food/store';
import type { Scope } from '../db';
import { writeBroodHistory } from './broods';
import { makeKitchen } from './kitchen';
import { lookedLately, seenLately } from './seen';
import { writeLedger } from './ledger';
import { writeWaterHistory } from './water';
import { LIVE_FOODS, liveShelf } from './vessels';
import { GROUPS, HISTORY_DAYS } from './scenario';
import {
  type DemoSetting,
  type Row,
  measuredToo,
  makeTanks,
  makeFoods,
  type DemoFood,
  makeGroup,
} from './making';
import { serveDays } from './serveDays';

/** Write the demo: tanks, fish, shelf and diets, and eight weeks of servings up to this hour. */
export async function writeHistory(
  scope: Scope,
  catalogue: Catalogue,
  report: DemoSetting,
): Promise<void> {
  const today = localDay(report.now, report.timeZone);
  const first = addDays(today, -HISTORY_DAYS);
  const tanks = makeTanks(report, today);
  const foods = makeFoods(catalogue, report, first);
  const kitchen = makeKitchen(foods, report, first);
  const gel = foods.find(({ food }) => food.id === kitchen.gelId) as DemoFood;
  Object.assign(gel.food, kitchen.gelFields);
  Object.assign(gel.row, foodColumns(gel.food));
  const groups = GROUPS.map((group) => makeGroup(group, tanks, foods, report, today));

  await scope.insert(
    'tanks',
    tanks.map((tank) => ({ ...tank })),
  );
  await scope.insert(
    'foods',
    foods.map((food) => food.row),
  );
  const shelved = foods.filter(({ key }) => !LIVE_FOODS.has(key));
  await scope.insert(
    'lots',
    shelved.map((food) => food.lotRow),
  );
  await scope.insert('recipes', [kitchen.recipeRow]);
  await scope.insert('recipe_ingredients', kitchen.ingredientRows);
  await scope.insert('batches', [kitchen.batchRow]);
  await scope.insert('stock_events', [
    ...shelved.filter((food) => food !== gel).map((food) => food.bought),
    ...kitchen.events,
  ]);
  await scope.insert(
    'groups',
    groups.map(({ id, name, speciesKey }) => ({ id, name, speciesKey, version: 1 })),
  );
  await scope.insert(
    'stays',
    groups.map((group) => group.stay),
  );
  await scope.insert(
    'group_events',
    groups.flatMap((group) => group.events),
  );
  await scope.insert(
    'diets',
    groups.map((group) => group.dietRow),
  );
  await scope.insert(
    'diet_servings',
    groups.flatMap((group) => group.servingRows),
  );

  const { feedings, draws, rounds } = serveDays(catalogue, report, {
    tanks,
    foods,
    groups,
    first,
    today,
  });
  for (const batch of inBatches(feedings)) await scope.insert('feedings', batch);
  const live = liveShelf({
    ...report,
    today,
    foodIds: new Map(foods.map(({ key, food }) => [key, food.id])),
    feedings,
  });
  await scope.insert('vessels', live.vessels);
  for (const batch of inBatches(live.events)) await scope.insert('vessel_events', batch);
  for (const batch of inBatches(draws)) await scope.insert('stock_events', batch);
  const broods = writeBroodHistory({ ...report, today, tanks, groups });
  await scope.insert('broods', broods.broods);
  await scope.insert('brood_tubs', broods.tubs);
  await scope.insert('brood_events', broods.events);
  const watched = { ...report, tanks, groups, today };
  await scope.insert('sightings', seenLately(rounds, watched));
  await scope.insert('looks', lookedLately(watched));
  const water = writeWaterHistory({ ...report, today, tanks });
  await scope.insert('tank_plans', water.plans);
  await scope.insert('water_events', water.events);
  await scope.insert('group_events', measuredToo(groups, report, today));
  const foodIds = new Map<string, string>(foods.map(({ key, food }) => [key, food.id]));
  const ledger = writeLedger({ ...report, today, groups, foodIds });
  await scope.insert('trials', ledger.trials);
  await scope.insert('ratings', ledger.ratings);
  await scope.insert('answers', ledger.answers);
}

function* inBatches(rows: readonly Row[]): Generator<Row[]> {
  const size = 500;
  for (let start = 0; start < rows.length; start += size) yield rows.slice(start, start + size);
}
