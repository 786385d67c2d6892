import { cutPage, readCursor } from '../db';
import type { Handlers } from '../http/mount';
import { idUsed } from '../http/problems';
import { moments, readMoment } from './store';

export const momentRoutes = {
  async listMoments({ query }, { scope }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const rows = await moments(scope, after as string | null, query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.id]);
  },

  async createMoment({ body }, { scope }) {
    await scope.insertOnce('moments', [{ ...body, version: 1, archived: false }]);
    const made = await readMoment(scope, body.id);
    if (!made) throw idUsed();
    return made;
  },

  editMoment: ({ params, body }, { scope }) =>
    scope.revise('moments', 'This moment', params.id, body, () => readMoment(scope, params.id)),
} satisfies Partial<Handlers>;
