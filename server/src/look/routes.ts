import { cutPage, readCursor } from '../db';
import { readHistory } from '../group/history';
import { refuseAhead } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { addLook, looks, undoLook } from './store';

export const lookRoutes: Handlers = {
  async listLooks({ params, query }, { scope }) {
    if ((await readHistory(scope, [params.id])).lives.length === 0) throw notFound('This group');
    const rows = await looks(scope, params.id, readCursor(query.cursor, 'seq'), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.seq]);
  },

  async addLook({ body }, { scope, clock }) {
    await refuseAhead(scope, clock, body, 'say what was seen on its day');
    return scope.atomically((inside) => addLook(inside, body));
  },

  undoLook: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoLook(inside, params.id, body)),
};
