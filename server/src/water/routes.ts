import { localDay } from '../clock';
import { cutPage, readCursor } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { readHouse } from '../round/house';
import { readTank } from '../tank/store';
import { readWater, readWaterStatuses } from './status';
import { WATER_EVENTS, waterEvents } from './store';

export const waterRoutes = {
  async listWaters(_request, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const today = localDay(clock.now(), household.timeZone);
    return { tanks: await readWaterStatuses(scope, household, today, null) };
  },

  async listWaterEvents({ params, query }, { scope }) {
    if (!(await readTank(scope, params.id))) throw notFound('This tank');
    const before = readCursor(query.cursor, 'day', 'seq');
    const rows = await waterEvents(scope, params.id, before, query.limit + 1);
    return cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
  },

  async addWaterEvent({ params, body }, { scope, catalogue, clock }) {
    await assertNotFuture(scope, clock, body, 'say what happened on its day');
    return scope.atomically(async (inside) => {
      if (!(await readTank(inside, params.id))) throw notFound('This tank');
      await WATER_EVENTS.append(
        inside,
        { ...body, tankId: params.id },
        (kept) => kept.tankId === params.id && !kept.undone,
      );
      return readWater(inside, catalogue, clock, params.id);
    });
  },

  undoWaterEvent: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const event = await WATER_EVENTS.undo(inside, params.id, body);
      return readWater(inside, catalogue, clock, event.tankId);
    }),
} satisfies Partial<Handlers>;
