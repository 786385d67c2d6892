import { cutPage, readCursor } from '../db';
import type { Handlers } from '../http/mount';
import { conflict, idUsed } from '../http/problems';
import { groupsIn, readTank, setWalk, tanks } from './store';

export const tankRoutes = {
  async listTanks({ query }, { scope }) {
    const rows = await tanks(scope, readCursor(query.cursor, 'place', 'id'), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.walkOrder, row.id]);
  },

  async createTank({ body }, { scope }) {
    await scope.insertOnce('tanks', [{ ...body, version: 1, archived: false }]);
    const made = await readTank(scope, body.id);
    if (!made) throw idUsed();
    return made;
  },

  editWalk: ({ body }, { scope }) =>
    scope.atomically(async (inside) => ({ tankIds: await setWalk(inside, body.tankIds) })),

  editTank: ({ params, body }, { scope }) =>
    scope.atomically(async (inside) => {
      await inside.lock(`tank ${params.id}`);
      if (body.archived && (await groupsIn(inside, params.id)) > 0) {
        throw conflict('There are still fish in this tank. Move or end its groups first.');
      }
      return inside.revise('tanks', 'This tank', params.id, body, () =>
        readTank(inside, params.id),
      );
    }),
} satisfies Partial<Handlers>;
