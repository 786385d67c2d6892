import type { PlanEdit, Tank } from '@open-larder/contract';
import { NO_PLAN, type DietServing } from '@open-larder/core/round';
import { suitsWell, usualServings } from '@open-larder/core/week';
import { v7 as uuidv7 } from 'uuid';
import type { Context } from '../http/mount';
import { editPlan } from '../plan/edit';
import { taskOf } from '../plan/task';

const UNPLANNED = {
  cycle: NO_PLAN.cycle,
  feedingStyle: null,
  fasts: [],
  water: null,
  version: 0,
} satisfies Omit<PlanEdit, 'diets'>;

/**
 * A first plan for groups that have none: the usual one of their kind, from what is on the shelf, each
 * portion by their need. The plan of others in the tank stays as it is. It is not balanced: that pays
 * where a keeper has seen what comes of a plan, and a first one must above all look like what keepers do.
 * @returns groups that nothing on the shelf suits well
 */
export async function planFirst(
  tank: Tank,
  groupIds: readonly string[],
  context: Context,
): Promise<string[]> {
  const { cycle, feedingStyle, fasts, water, version } = tank.plan ?? UNPLANNED;
  const blank: PlanEdit = { cycle, feedingStyle, fasts, water, version, diets: [] };
  const task = await taskOf(tank.id, blank, context);
  const dietOf = (id: string) => task.house.groups.find((one) => one.id === id)?.diet ?? null;
  const unplanned = task.groups.filter(({ id }) => groupIds.includes(id) && dietOf(id) === null);
  if (unplanned.length === 0) return [];
  const servings = new Map<string, readonly DietServing[]>();
  const unfedIds: string[] = [];
  for (const group of unplanned) {
    const own = usualServings(task, group, feedingStyle, uuidv7);
    if (own === null) continue;
    if (own.length > 0) servings.set(group.id, own);
    if (!suitsWell(task, group, own)) unfedIds.push(group.id);
  }
  const diets = [...servings].map(([groupId, own]) => ({
    groupId,
    version: 0,
    fastWeekdays: [],
    goalFactor: null,
    servings: own as PlanEdit['diets'][number]['servings'],
    rules: [],
  }));
  if (diets.length > 0) await editPlan(tank.id, { ...blank, diets }, context);
  return unfedIds;
}
