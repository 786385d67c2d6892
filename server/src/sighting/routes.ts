import { cutPage, readCursor, type Scope } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { readTank } from '../tank/store';
import { readLearned, SIGHTINGS, assertOwned, saveLearned, sightings } from './store';

export const sightingRoutes = {
  async listSightings({ params, query }, { scope }) {
    await assertTank(scope, params.id);
    const before = readCursor(query.cursor, 'seq');
    const rows = await sightings(scope, params.id, before, query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.seq]);
  },

  async addSighting({ params, body }, { scope, clock }) {
    await assertNotFuture(scope, clock, body, 'say what was seen on its day');
    return scope.atomically(async (inside) => {
      await assertTank(inside, params.id);
      await assertOwned(
        inside,
        body.came.map((one) => one.groupId),
      );
      return SIGHTINGS.append(inside, { ...body, tankId: params.id });
    });
  },

  undoSighting: ({ params, body }, { scope }) =>
    scope.atomically((inside) => SIGHTINGS.undo(inside, params.id, body)),

  async getLearned({ params }, { scope }) {
    await assertTank(scope, params.id);
    return readLearned(scope, params.id);
  },

  editLearned: ({ params, body }, { scope }) =>
    scope.atomically(async (inside) => {
      await assertTank(inside, params.id);
      return saveLearned(inside, params.id, body);
    }),
} satisfies Partial<Handlers>;

async function assertTank(scope: Scope, tankId: string): Promise<void> {
  if (!(await readTank(scope, tankId))) throw notFound('This tank');
}
