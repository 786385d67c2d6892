import { houseGroup, houseTank, type PlanEdit, type SavedPlan } from '@open-larder/contract';
import { groupOnDay } from '@open-larder/core';
import { groupsOn, readHistory } from '../group/history';
import { todayOf } from '../household/store';
import type { Context } from '../http/mount';
import { notFound } from '../http/problems';
import { speciesOf } from '../species/store';
import { readTank } from '../tank/store';
import { savePlan } from './store';

/**
 * Save a tank’s plan for the groups that live in it today.
 * @throws ProblemError 404 where there is no such tank, and what `savePlan` throws
 */
export async function editPlan(
  tankId: string,
  body: PlanEdit,
  { scope, clock, catalogue }: Context,
): Promise<SavedPlan> {
  const today = await todayOf(scope, clock);
  return scope.atomically(async (inside) => {
    const tank = await readTank(inside, tankId);
    if (!tank) throw notFound('This tank');
    const species = await speciesOf(inside, catalogue);
    const groups = groupsOn(await readHistory(inside, null), today)
      .filter((group) => group.tankId === tank.id && !group.archived)
      .flatMap((group) => houseGroup(group, species, tank, today) ?? [])
      .map((group) => ({ ...group, onDay: groupOnDay(group, houseTank(tank)) }));
    return savePlan(inside, tank.id, body, today, groups);
  });
}
