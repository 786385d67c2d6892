import { houseGroup } from '@open-larder/contract';
import { groupOnDay } from '@open-larder/core';
import { groupsOn, readHistory } from '../group/history';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { speciesOf } from '../species/store';
import { readTank } from '../tank/store';
import { savePlan } from './store';

export const planRoutes: Handlers = {
  async editPlan({ params, body }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    return scope.atomically(async (inside) => {
      const tank = await readTank(inside, params.id);
      if (!tank) throw notFound('This tank');
      const species = await speciesOf(inside, catalogue);
      const groups = groupsOn(await readHistory(inside, null), today)
        .filter((group) => group.tankId === tank.id && !group.archived)
        .flatMap((group) => houseGroup(group, species) ?? [])
        .map((group) => ({ ...group, onDay: groupOnDay(group, tank) }));
      return savePlan(inside, tank.id, body, today, groups);
    });
  },
};
