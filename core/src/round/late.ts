import { mayNotFast, type Stage } from '../fish';

/** A serving whose time has passed, in minutes after the same midnight. */
export interface Late {
  stage: Stage;
  plannedMin: number;
  nowMin: number;
  /** When the group is fed next as planned; null where that is not known: a day later then. */
  nextMin: number | null;
  /** The tank was lit when it was planned and is dark now, or the other way round. */
  lightChanged: boolean;
}

/** What to do about it; never more than was planned. */
export interface LateAdvice {
  /** How much of the serving is still given. */
  part: 1 | 0.5 | 0;
  why: 'soon' | 'early' | 'half-way' | 'next' | 'light' | 'fry';
}

/** Later than this a serving is late at all, minutes. Assumption. */
export const LATE_MIN = 45;
/** Nearer to the next meal than this, that one does. Assumption. */
const NEXT_MIN = 90;
const NEXT_FRY_MIN = 30;
const DAY_MIN = 1440;
/** Up to such parts of the time between two meals it is given whole, and half. Assumptions. */
const WHOLE = 1 / 3;
const HALF = 2 / 3;

/**
 * What is still given of a serving that is late, from the stage of the fish and how far the time to
 * the next meal is gone: all, half, or nothing, and then as planned. Two meals never become one: what
 * a gut cannot hold only fouls the water.
 * @returns null where it is not late
 */
export function lateAdvice({
  stage,
  plannedMin,
  nowMin,
  nextMin,
  lightChanged,
}: Late): LateAdvice | null {
  const late = nowMin - plannedMin;
  if (late <= LATE_MIN) return null;
  const next = nextMin ?? plannedMin + DAY_MIN;
  const left = next - nowMin;
  if (mayNotFast(stage)) {
    // Hours count for fry: they get it, as long as the next one is not at the door.
    if (left <= NEXT_FRY_MIN) return { part: 0, why: 'next' };
    return late <= HALF * (next - plannedMin) ? { part: 1, why: 'fry' } : { part: 0.5, why: 'fry' };
  }
  if (left <= NEXT_MIN) return { part: 0, why: 'next' };
  if (lightChanged) return { part: 0, why: 'light' };
  const gone = late / (next - plannedMin);
  if (gone <= WHOLE) return { part: 1, why: late <= 2 * LATE_MIN ? 'soon' : 'early' };
  return gone <= HALF ? { part: 0.5, why: 'half-way' } : { part: 0, why: 'next' };
}
