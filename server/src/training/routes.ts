import { addDays } from '@open-larder/core';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problems';
import { beginTraining, endTraining } from './store';

export const trainingRoutes = {
  async beginTraining({ body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    if (body.day > addDays(today, 1) || body.day < addDays(today, -1)) {
      throw invalid('day', 'a training begins today');
    }
    return scope.atomically((inside) => beginTraining(inside, body, today));
  },

  async endTraining({ params, body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    return scope.atomically((inside) => endTraining(inside, params.id, body, today));
  },
} satisfies Partial<Handlers>;
