import type { PlanAct } from './acts';

/** What a keeper may want of a better plan. */
export const IMPROVE_WAYS = ['leastChange', 'leastWork', 'shy'] as const;
export type ImproveWay = (typeof IMPROVE_WAYS)[number];

/** What a way weighs, in the score by which plans are compared. Assumptions. */
export interface WayWeights {
  /** What one change costs: it has to miss less by more than that. */
  change: Record<PlanAct['does'], number>;
  /** A minute of the keeper’s hands in a cycle. */
  minute: number;
  /** How short the group is that gets least, as a share of its need. */
  shortest: number;
}

const PRICE = { amount: 0.2, days: 0.3, moment: 0.35, place: 0.4, food: 0.7, add: 0.8, drop: 0.6 };
const times = (factor: number): WayWeights['change'] => ({
  amount: PRICE.amount * factor,
  days: PRICE.days * factor,
  moment: PRICE.moment * factor,
  place: PRICE.place * factor,
  food: PRICE.food * factor,
  add: PRICE.add * factor,
  drop: PRICE.drop * factor,
});

export const WAYS: Record<ImproveWay, WayWeights> = {
  leastChange: { change: times(1.5), minute: 0.01, shortest: 0 },
  leastWork: { change: { ...times(0.8), drop: 0.1, moment: 0.15 }, minute: 0.05, shortest: 0 },
  shy: { change: times(0.5), minute: 0.005, shortest: 8 },
};
