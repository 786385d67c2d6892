import { createFood } from '../food/acts';
import { startGroup } from '../group/acts';
import type { Handlers } from '../http/mount';
import { speciesOf } from '../species/store';
import { readTank } from '../tank/store';
import { planFirst } from './planFirst';

export const inventoryRoutes = {
  addInventory: ({ body }, context) =>
    context.scope.atomically(async (scope) => {
      const inside = { ...context, scope };
      const species = await speciesOf(scope, context.catalogue);
      await scope.insertOnce(
        'tanks',
        body.tanks.map((tank) => ({ ...tank, version: 1, archived: false })),
      );
      for (const food of body.foods) await createFood(scope, context.clock, food);
      for (const group of body.groups) await startGroup(scope, species, group);
      const tanks = [];
      const moments = [];
      for (const tankId of new Set(body.groups.map((group) => group.tankId))) {
        const groupIds = body.groups.filter((one) => one.tankId === tankId).map(({ id }) => id);
        const tank = await readTank(scope, tankId);
        if (!tank) continue;
        const { unfedIds, moments: added } = await planFirst(tank, groupIds, inside);
        tanks.push({ tankId, groupIds, unfedIds });
        moments.push(...added);
      }
      return { tanks, moments };
    }),
} satisfies Partial<Handlers>;
