import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { logChore, undoChore } from './store';

export const choreRoutes = {
  async logChore({ body }, { scope, clock }) {
    await assertNotFuture(scope, clock, body, 'say what was done on its day');
    return scope.atomically((inside) => logChore(inside, body));
  },

  undoChore: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoChore(inside, params.id, body)),
} satisfies Partial<Handlers>;
