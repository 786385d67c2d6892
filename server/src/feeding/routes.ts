import { addDays } from '@open-larder/core';
import { cutPage, readCursor } from '../db';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { refused } from '../http/problems';
import { feedings, logFeeding, undoFeeding } from './store';

export const feedingRoutes: Handlers = {
  async listFeedings({ query }, { scope }) {
    const rows = await feedings(scope, readCursor(query.cursor, 2), query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.day, row.id]);
  },

  async logFeeding({ body }, { scope, clock }) {
    // One day of grace: a phone's clock may be a little ahead of the household's midnight.
    if (body.day > addDays(await todayOf(scope, clock), 1)) {
      throw refused('day', 'this day has not come yet; log a serving on its day');
    }
    return scope.atomically((inside) => logFeeding(inside, body));
  },

  undoFeeding: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoFeeding(inside, params.id, body)),
};
