import type { DietEdit, Group } from '@open-larder/contract';
import { houseGroup, houseTank } from '@open-larder/contract/house';
import type { Food } from '@open-larder/core/ration';
import {
  addDays,
  compileGroupDay,
  dayOfCycle,
  dietFindings,
  weekdayOf,
  type DueServing,
  type Finding,
  type GroupDay,
} from '@open-larder/core/round';
import type { AppData } from '../store';

/** A diet as the core sees it: its week, the portion of each serving, and what to look at. */
export interface DietLook {
  week: GroupDay[];
  portions: Map<string, DueServing>;
  findings: Finding[];
}

/**
 * Compile a diet, saved or still being written, for the week or the longer cycle around a day.
 * @returns null where the tank or species is gone
 */
export function reviewDiet(
  group: Group,
  diet: DietEdit | null,
  data: AppData,
  day: string,
): DietLook | null {
  const row = data.tanks.find((one) => one.id === group.tankId);
  const inHouse = houseGroup({ ...group, diet }, data.species, row, day);
  if (!row || !inHouse) return null;
  const tank = houseTank(row);
  const foods = new Map<string, Food>(data.house.foods.map((food) => [food.id, food]));
  const moments = new Map(data.house.moments.map((moment) => [moment.id, moment]));
  const { cycle } = tank.plan;
  const first =
    cycle.days > 7 ? addDays(day, 1 - dayOfCycle(cycle, day)) : addDays(day, 1 - weekdayOf(day));
  const week = Array.from({ length: Math.max(7, cycle.days) }, (_, offset) =>
    compileGroupDay(inHouse, tank, foods, addDays(first, offset)),
  );
  const portions = new Map<string, DueServing>();
  for (const due of week.flatMap((one) => one.servings)) {
    if (!portions.has(due.serving.id)) portions.set(due.serving.id, due);
  }
  return { week, portions, findings: dietFindings(inHouse, tank, foods, moments, first) };
}
