import { daysUntil, grown, leftForMost } from './logistic';
import { gramsOfOne } from './kind';
import type { ForecastStart } from './types';
import type { HarvestBy } from './vocabulary';
import { wayOf } from './ways';

/** Grams wet in one, drained. Assumptions, until the keeper weighs their own. */
export const HARVEST_G: Record<'net' | 'pipette' | 'spoon', number> = {
  net: 1.5,
  pipette: 0.2,
  spoon: 0.8,
};
/** «Some» is half of what can be taken without harm. Assumption. */
const SOME = 0.5;

/** Grams of a harvest as it was measured. @param givesG what can be taken without harm today */
export const harvestG = (by: HarvestBy, amount: number, givesG: number): number =>
  by === 'g' ? amount : by === 'some' ? SOME * givesG : amount * HARVEST_G[by];

/** What a harvest does to what follows. */
export interface Aftermath {
  /** More than is believed to be there. */
  tooMuch: boolean;
  /** More than it makes good by the next day for good. */
  overLasting: boolean;
  /** Days until it is back at where it gives most; null where it never is. */
  recoversDays: number | null;
  /** Grams a day that can be taken in the next week without harm, with it and without it. */
  weekG: { with: number; without: number };
}

const WEEK = 7;

/**
 * What taking some today does to next week, for kinds that grow until they are crowded.
 * @returns null for other kinds: what they give follows their age
 */
export function afterHarvest(
  { kind, measure, estimate }: ForecastStart,
  massG: number,
  tempC: number,
): Aftermath | null {
  const model = wayOf(kind).crowdingIn(kind, measure, tempC);
  if (model === null) return null;
  const gram = gramsOfOne(kind);
  const max = leftForMost(model);
  const left = estimate.count - massG / gram;
  // A week on, all above the line is what can be taken; divided by its days.
  const week = (from: number) =>
    (Math.max(0, grown(model, Math.max(0, from), WEEK) - max) * gram) / WEEK;
  return {
    tooMuch: left <= 0,
    overLasting: left < Math.min(max, estimate.count) * 0.9,
    recoversDays: left <= 0 ? null : daysUntil(model, left, max),
    weekG: { with: week(left), without: week(estimate.count) },
  };
}
