import type { PlanEdit } from '@open-larder/contract';
import { allApplied, withServings } from '@open-larder/core/week';
import { follow } from '../store/follow';
import { startWeek, type WeekWorker } from './week';

/**
 * As `startWeek`, but a plan is bettered by the server: a large house is too much for a phone. What a
 * plan comes to is still simulated here.
 * @param edit the tank's plan as it is being edited
 */
export function startWeekAside(tankId: string, edit: PlanEdit): WeekWorker {
  const here = startWeek();
  const leaving = new AbortController();
  return {
    ...here,
    async improve(task, _pins, onTried) {
      const answer = await follow(
        'balancePlan',
        { params: { id: tankId }, body: edit },
        ({ done, of }) => onTried(done, of),
        leaving.signal,
      );
      if ('error' in answer) throw new Error(answer.error.detail);
      const before = await here.judge(task);
      const found = [];
      for (const { ways, acts } of answer.data.found) {
        const servings = allApplied(before.servings, acts);
        found.push({ ways, acts, after: await here.judge(withServings(task, servings)) });
      }
      return { before, found, trials: 0 };
    },
    stop() {
      leaving.abort();
      here.stop();
    },
  };
}
