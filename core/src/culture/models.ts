import type { CultureModel } from '@open-larder/catalogue/cultures';
import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import { gramsOfOne, plateauOf, type Growing } from './kind';
import { yieldShare } from './worms';

/** What is in a vessel of a kind whose age says what it gives. */
export interface Contents {
  /** Litres, square decimetres or jars. */
  measure: number;
  /** What was put in, of what is only kept; of a hatch, the dry eggs. Grams. */
  keptG: number;
  /** Share of the eggs that hatches; missing for the usual. */
  hatchShare?: number;
  /** Of what does not grow again, so much was not taken yet; missing for all of it. */
  leftShare?: number;
}

/** How a kind grows whose age says what it gives. */
interface AgeModel {
  /** What was taken is there again the next day. Other kinds are less for good. */
  renews: boolean;
  /** What is only kept: less by what was taken, whatever its age. */
  isStore: boolean;
  /** Of what stands in it, so much can be drawn in a day. */
  drawn: number;
  /** Grams in it at its best. */
  fullG: (kind: Growing, contents: Contents) => number;
}

/** Of a batch that is good, so much can be drawn in a day. Assumption. */
const BATCH_PART = 1 / 3;

const byCapacity: AgeModel['fullG'] = (kind, { measure }) =>
  (kind.capacity ?? 0) * measure * gramsOfOne(kind);
const byYield: AgeModel['fullG'] = (kind, { measure }) => (kind.yieldGPerDay ?? 0) * measure;
const byEggs: AgeModel['fullG'] = (kind, contents) =>
  contents.keptG > 0
    ? contents.keptG * CYSTS_PER_G * (contents.hatchShare ?? HATCH_SHARE) * gramsOfOne(kind)
    : byCapacity(kind, contents);

/** Bread rises again overnight; a batch, a hatch and what is only kept do not. */
const RENEWING: AgeModel = { renews: true, isStore: false, drawn: 1, fullG: byYield };
const ONCE: AgeModel = { renews: false, isStore: false, drawn: 1, fullG: byCapacity };

/** Every way to grow but «until it is crowded», which is an equation of its own (logistic.ts). */
const AGE_MODELS: Record<Exclude<CultureModel, 'logistic'>, AgeModel> = {
  plateau: RENEWING,
  generations: RENEWING,
  film: RENEWING,
  batch: { ...ONCE, drawn: BATCH_PART },
  hatch: { ...ONCE, fullG: byEggs },
  kept: { ...ONCE, isStore: true, fullG: (_, { keptG }) => keptG },
};

/** It grows until it is crowded: what is in it is believed from what was seen, not from its age. */
export const isCrowding = ({ model }: Pick<Growing, 'model'>): boolean => model === 'logistic';

/** @throws RangeError for a kind that grows until it is crowded */
export function ageModelOf({ model }: Pick<Growing, 'model'>): AgeModel {
  if (model === 'logistic') throw new RangeError('this kind grows until it is crowded');
  return AGE_MODELS[model];
}

/**
 * Grams in a vessel at an age, before anything is taken that day.
 * @throws RangeError for a kind that grows until it is crowded
 */
export const ageModelYield = (
  kind: Growing,
  contents: Contents,
  ageDays: number,
  tempC: number,
): number =>
  (contents.leftShare ?? 1) *
  ageModelOf(kind).fullG(kind, contents) *
  yieldShare(plateauOf(kind), ageDays, tempC);

/**
 * Grams that can still be taken on a day.
 * @param leftG  in it now
 * @param takenG of it today already
 */
export const canGive = (kind: Growing, leftG: number, takenG: number): number =>
  Math.min(leftG, Math.max(0, ageModelOf(kind).drawn * (leftG + takenG) - takenG));
