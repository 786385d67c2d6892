import { cutPage, readCursor } from '../db';
import { drawFromVessels } from '../culture/draw';
import type { Handlers } from '../http/mount';
import { feedings, logFeeding, undoFeeding } from './store';

export const feedingRoutes = {
  async listFeedings({ query }, { scope }) {
    const rows = await feedings(scope, readCursor(query.cursor, 'day', 'id'), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.day, row.id]);
  },

  logFeeding: ({ body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const { feeding, shortG } = await logFeeding(inside, clock, body);
      // What lives is taken from its vessels, as far as the shelf does not have it.
      return { feeding, shortG: await drawFromVessels(inside, catalogue, clock, feeding, shortG) };
    }),

  undoFeeding: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoFeeding(inside, params.id, body)),
} satisfies Partial<Handlers>;
