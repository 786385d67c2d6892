import { localDay } from '../clock';
import { cutPage, readCursor } from '../db';
import { refuseAhead } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { idUsed, notFound } from '../http/problems';
import { readHouse } from '../round/house';
import { readTank } from '../tank/store';
import { readWater, standOfWaters } from './standing';
import { readEvent, waterEvents } from './store';

export const waterRoutes: Handlers = {
  async listWaters(_request, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const today = localDay(clock.now(), household.timeZone);
    return { tanks: await standOfWaters(scope, household, today, null) };
  },

  async listWaterEvents({ params, query }, { scope }) {
    if (!(await readTank(scope, params.id))) throw notFound('This tank');
    const before = readCursor(query.cursor, 'day', 'seq');
    const rows = await waterEvents(scope, params.id, before, query.limit + 1);
    return cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
  },

  async addWaterEvent({ params, body }, { scope, catalogue, clock }) {
    await refuseAhead(scope, clock, body, 'say what happened on its day');
    return scope.atomically(async (inside) => {
      if (!(await readTank(inside, params.id))) throw notFound('This tank');
      await inside.lock(`water ${body.id}`);
      await inside.insertOnce('water_events', [{ ...body, tankId: params.id }]);
      const made = await readEvent(inside, body.id);
      if (made?.tankId !== params.id || made.undone) {
        throw idUsed();
      }
      return readWater(inside, catalogue, clock, params.id);
    });
  },

  undoWaterEvent: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      await inside.lock(`undo water ${params.id}`);
      const known = await readEvent(inside, params.id);
      if (!known) throw notFound('This test or change');
      const { undone, ...event } = known;
      if (!undone) {
        await inside.insert('water_events', [
          { ...event, id: body.id, at: body.at, undoes: params.id },
        ]);
      }
      return readWater(inside, catalogue, clock, event.tankId);
    }),
};
