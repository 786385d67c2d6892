import { pinsOf } from '@open-larder/core/week';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { cutPage, readCursor } from '../db';
import { assertOwned } from '../diet/store';
import { idUsed, notFound } from '../http/problems';
import { readHouse } from '../round/house';
import { balanceAside } from './balance';
import { editPlan } from './edit';
import { weekSheet } from './sheet';
import { taskOf } from './task';
import { readStartingPlan, startingPlans } from './store';

export const planRoutes = {
  async listStartingPlans({ query }, { scope }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const rows = await startingPlans(scope, after as string | null, query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.id]);
  },

  async balancePlan({ params, body }, { report, gone, ...context }) {
    const task = await taskOf(params.id, body, context);
    return balanceAside(task, pinsOf(body.pins), report, gone);
  },

  async printWeek({ params, query }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    const household = await readHouse(scope, catalogue);
    const { house } = household.on(today, query.hand);
    const tank = house.tanks.find((one) => one.id === params.id);
    if (!tank) throw notFound('This tank');
    const pdf = await weekSheet(house, tank, household.foods, today);
    const name = tank.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-');
    return {
      fileName: `week-${name}-${today}.pdf`,
      base64: Buffer.from(pdf).toString('base64'),
    };
  },

  async createStartingPlan({ body }, { scope }) {
    await assertOwned(scope, body.lines, 'lines');
    await scope.insertOnce('starting_plans', [{ ...body, version: 1, archived: false }]);
    const made = await readStartingPlan(scope, body.id);
    if (!made) throw idUsed();
    return made;
  },

  async editStartingPlan({ params, body }, { scope }) {
    await assertOwned(scope, body.lines, 'lines');
    return scope.revise('starting_plans', 'This starting plan', params.id, body, () =>
      readStartingPlan(scope, params.id),
    );
  },

  editPlan: ({ params, body }, context) => editPlan(params.id, body, context),
} satisfies Partial<Handlers>;
