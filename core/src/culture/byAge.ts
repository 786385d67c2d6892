import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import { gramsOfOne, plateauOf, type Growing } from './kind';
import { yieldShare } from './worms';

/** Of a batch that is good, so much can be drawn in a day. Assumption. */
const BATCH_PART = 1 / 3;

/**
 * What a kind whose age tells what it gives holds and gives on a day, in grams.
 * @param measure   litres, square decimetres or jars
 * @param keptG     what was put in, of what is only kept; of a hatch, the dry eggs
 * @param leftShare of what does not grow again, so much was not taken yet
 * @throws RangeError for a kind that grows until it is crowded
 */
export function byAge(
  kind: Growing,
  { measure, keptG, leftShare = 1 }: { measure: number; keptG: number; leftShare?: number },
  ageDays: number,
  tempC: number,
): { standingG: number; givesG: number } {
  const whole =
    kind.model === 'kept'
      ? keptG
      : kind.model === 'hatch' && keptG > 0
        ? keptG * CYSTS_PER_G * HATCH_SHARE * gramsOfOne(kind)
        : kind.model === 'batch' || kind.model === 'hatch'
          ? (kind.capacity ?? 0) * measure * gramsOfOne(kind)
          : (kind.yieldGPerDay ?? 0) * measure;
  const standingG = leftShare * whole * yieldShare(plateauOf(kind), ageDays, tempC);
  return { standingG, givesG: standingG * (kind.model === 'batch' ? BATCH_PART : 1) };
}
