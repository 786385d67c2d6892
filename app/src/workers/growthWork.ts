import { curveOn, fitCurve, type Point } from '@open-larder/core/growth';

/** A batch of fish: mean lengths by days since its first measurement. */
export interface Batch {
  id: string;
  points: readonly Point[];
  /** The longest that its kind may be fitted to, cm. */
  maxCm: number;
}

/** The curve of a batch on some days, with its interval; null where none can be fitted. */
export interface Fitted {
  id: string;
  on: { day: number; cm: number; low: number; high: number }[] | null;
}

/** What the worker is asked, and what it shows: how far it is, and then what came of it. */
export interface Asked {
  batches: readonly Batch[];
  days: readonly number[];
}
export type Told = { done: number; of: number } | { result: Fitted[] } | { fault: string };

/** What a worker does about growth: curves of many batches, with progress. */
export const growthWork = {
  fit: (
    batches: readonly Batch[],
    days: readonly number[],
    onBatch: (done: number, of: number) => void,
  ): Fitted[] =>
    batches.map(({ id, points, maxCm }, at) => {
      const fitted = fitCurve(points, maxCm);
      onBatch(at + 1, batches.length);
      return { id, on: 'curve' in fitted ? curveOn(fitted.curve, days) : null };
    }),
};

export type GrowthWork = typeof growthWork;
