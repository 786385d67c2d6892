import type { MomentRow, PlanEdit, Tank } from '@open-larder/contract';
import { NO_PLAN, type DietServing } from '@open-larder/core/round';
import {
  fitted,
  momentsToAdd,
  NO_PINS,
  suitsWell,
  usualServings,
  withServings,
} from '@open-larder/core/week';
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
 * portion by their need, with the few changes that let it reach them. The plan of others in the tank
 * stays as it is. Where the house has too few moments while a new tank is lit, it gets more.
 * @returns groups that nothing on the shelf suits well, and moments that were added
 */
export async function planFirst(
  tank: Tank,
  groupIds: readonly string[],
  context: Context,
): Promise<{ unfedIds: string[]; moments: MomentRow[] }> {
  // What else its plan holds, seasons and pins among it, stays.
  const { validFrom: _, ...plan } = tank.plan ?? { ...UNPLANNED, validFrom: '' };
  const blank: PlanEdit = { ...plan, diets: [] };
  const { feedingStyle } = plan;
  const before = await taskOf(tank.id, blank, context);
  const dietOf = (id: string) => before.house.groups.find((one) => one.id === id)?.diet ?? null;
  const unplanned = before.groups.filter(({ id }) => groupIds.includes(id) && dietOf(id) === null);
  if (unplanned.length === 0) return { unfedIds: [], moments: [] };
  // A tank that is fed already keeps the moments that its keeper settled on.
  const isNew = before.groups.every(({ id }) => dietOf(id) === null);
  const wanted = isNew ? momentsToAdd(before.house.moments, before.tank.light) : [];
  const moments = wanted.map((moment) => ({
    ...moment,
    id: uuidv7(),
    spareMin: null,
    version: 1,
    archived: false,
  }));
  await context.scope.insert('moments', moments);
  const task = moments.length > 0 ? await taskOf(tank.id, blank, context) : before;
  const servings = new Map<string, readonly DietServing[]>();
  const unfedIds: string[] = [];
  for (const group of unplanned) {
    const own = usualServings(task, group, feedingStyle, uuidv7);
    if (own === null) continue;
    if (own.length > 0) servings.set(group.id, own);
    if (!suitsWell(task, group, own)) unfedIds.push(group.id);
  }
  const others = task.groups.flatMap(({ id }) => (servings.has(id) ? [] : [id]));
  const pins = { ...NO_PINS, groupIds: new Set(others) };
  const reaches = fitted(withServings(task, servings), uuidv7, { pins, quick: true });
  const diets = [...servings.keys()].map((groupId) => ({
    groupId,
    version: 0,
    fastWeekdays: [],
    goalFactor: null,
    servings: (reaches.get(groupId) ?? []) as PlanEdit['diets'][number]['servings'],
    rules: [],
  }));
  if (diets.length > 0) await editPlan(tank.id, { ...blank, diets }, context);
  return { unfedIds, moments };
}
