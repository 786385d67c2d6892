import { addDays } from '@open-larder/core';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { refused } from '../http/problems';
import { logChore, undoChore } from './store';

export const choreRoutes: Handlers = {
  async logChore({ body }, { scope, clock }) {
    if (body.day > addDays(await todayOf(scope, clock), 1)) {
      throw refused('day', 'this day has not come yet; say what was done on its day');
    }
    return scope.atomically((inside) => logChore(inside, body));
  },

  undoChore: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoChore(inside, params.id, body)),
};
