import type { PlanEdit } from '@open-larder/contract';
import { withServings, type Judged } from '@open-larder/core/week';
import { follow } from '../store/follow';
import { startWeek, type WeekWorker } from './week';

type Rows = readonly { groupId: string; servings: readonly unknown[] }[];
const byGroup = (rows: Rows) =>
  new Map(rows.map(({ groupId, servings }) => [groupId, servings])) as Judged['servings'];

/**
 * As `startWeek`, but plans are balanced by the server: a large house is too much for a phone. What a
 * plan comes to is still simulated here.
 * @param edit the tank's plan as it is being edited
 */
export function startWeekAside(tankId: string, edit: PlanEdit): WeekWorker {
  const here = startWeek();
  const leaving = new AbortController();
  return {
    ...here,
    async balance(task, onProgress) {
      const answer = await follow(
        'balancePlan',
        { params: { id: tankId }, body: edit },
        ({ best, ...progress }) =>
          onProgress({ ...progress, best: best && { ...best, servings: byGroup(best.servings) } }),
        leaving.signal,
      );
      if ('error' in answer) throw new Error(answer.error.detail);
      const { servings, ...rest } = answer.data;
      const before = await here.judge(task);
      return { ...rest, before, after: await here.judge(withServings(task, byGroup(servings))) };
    },
    stop() {
      leaving.abort();
      here.stop();
    },
  };
}
