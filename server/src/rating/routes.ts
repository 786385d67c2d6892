import { cutPage, readCursor } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { addRating, ratings, undoRating } from './store';

export const ratingRoutes = {
  async listRatings({ query }, { scope }) {
    const rows = await ratings(scope, readCursor(query.cursor, 'seq'), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.seq]);
  },

  async addRating({ body }, { scope, clock }) {
    await assertNotFuture(scope, clock, body, 'rate it on its day');
    return scope.atomically((inside) => addRating(inside, body));
  },

  undoRating: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoRating(inside, params.id, body)),
} satisfies Partial<Handlers>;
