import type { PlanRow, Problem, Tank } from '@open-larder/contract';
import { usePlanPart } from './usePlanPart';

export type WaterPlan = NonNullable<PlanRow['water']>;

/** Save how a tank’s water is changed, with what else is in its plan. @returns what is wrong, or null */
export function useRhythm(tank: Tank): (water: WaterPlan) => Promise<Problem | null> {
  const save = usePlanPart(tank);
  return async (water) => {
    const done = await save({ water });
    return 'problem' in done ? done.problem : null;
  };
}
