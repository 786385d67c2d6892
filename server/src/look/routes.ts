import { cutPage, readCursor } from '../db';
import { readHistory } from '../group/history';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { addLook, looks, undoLook } from './store';

export const lookRoutes = {
  async listLooks({ params, query }, { scope }) {
    if ((await readHistory(scope, [params.id])).lives.length === 0) throw notFound('This group');
    const rows = await looks(scope, params.id, readCursor(query.cursor, 'seq'), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.seq]);
  },

  async addLooks({ body }, { scope, clock }) {
    for (const one of body.looks) {
      await assertNotFuture(scope, clock, one, 'say what was seen on its day');
    }
    return { looks: await inOrder(body.looks, (one) => addLook(scope, one)) };
  },

  undoLooks: async ({ body: { looks: all, at } }, { scope }) => ({
    looks: await inOrder(all, ({ lookId, id }) => undoLook(scope, lookId, { id, at })),
  }),
} satisfies Partial<Handlers>;

/** One after the other: a transaction takes one question at a time. */
async function inOrder<T, R>(all: readonly T[], act: (one: T) => Promise<R>): Promise<R[]> {
  const done: R[] = [];
  for (const one of all) done.push(await act(one));
  return done;
}
