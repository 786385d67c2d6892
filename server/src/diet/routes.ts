import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { saveDiet } from './store';

export const dietRoutes = {
  async editDiet({ params, body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    return scope.atomically((inside) => saveDiet(inside, params.id, body, today));
  },
} satisfies Partial<Handlers>;
