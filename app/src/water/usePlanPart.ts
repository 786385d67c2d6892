import type { PlanRow, Problem, Tank } from '@open-larder/contract';
import { WEEK } from '@open-larder/core/round';
import { api } from '../store';

type Part = Partial<Pick<PlanRow, 'water' | 'fasts'>>;

/** Save a part of a tank’s plan; the rest stays. @returns what is wrong, or the plan as it is then */
export function usePlanPart(
  tank: Pick<Tank, 'id' | 'plan'>,
): (part: Part, from?: PlanRow | null) => Promise<{ problem: Problem } | { plan: PlanRow }> {
  const [edit] = api.useEditPlanMutation();
  return async (part, from = tank.plan) => {
    const { version, cycle, feedingStyle, fasts, water } = from ?? {
      version: 0,
      cycle: WEEK,
      feedingStyle: null,
      fasts: [],
      water: null,
    };
    const body = { version, cycle, feedingStyle, fasts, water, ...part, diets: [] };
    const done = await edit({ params: { id: tank.id }, body: body as never });
    return done.error ? { problem: done.error as Problem } : { plan: done.data.plan };
  };
}
