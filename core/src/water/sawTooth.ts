import { group } from 'd3-array';
import { assertRange } from '../units';

/** How water is changed, again and again. */
export interface Rhythm {
  /** Share at a change, 0.01 to 1. */
  share: number;
  everyDays: number;
  /** Of what is looked at, in the new water, mg/L. */
  sourceMgL: number;
}

/**
 * The highest that a steady rhythm comes to, just before a change.
 * @param addsMgL what a day adds, mg/L
 * @returns mg/L: the source, and what one interval adds divided by the share
 * @throws RangeError for a share or days that cannot be
 */
export function peakOf(addsMgL: number, { share, everyDays, sourceMgL }: Rhythm): number {
  assertRange('share changed', share, 0.01, 1);
  assertRange('days between changes', everyDays, 0.25, 365);
  return sourceMgL + (addsMgL * everyDays) / share;
}

/** Just after a change of a steady rhythm, mg/L. */
export const troughOf = (addsMgL: number, rhythm: Rhythm): number =>
  peakOf(addsMgL, rhythm) * (1 - rhythm.share) + rhythm.sourceMgL * rhythm.share;

/**
 * The share at which the peak is at a cap.
 * @returns 0 to 1; null where no share is enough, or the new water itself is over it
 */
export function shareFor(
  capMgL: number,
  addsMgL: number,
  { everyDays, sourceMgL }: Omit<Rhythm, 'share'>,
): number | null {
  if (addsMgL <= 0) return capMgL >= sourceMgL ? 0 : null;
  if (capMgL <= sourceMgL) return null;
  const share = (addsMgL * everyDays) / (capMgL - sourceMgL);
  return share <= 1 + 1e-9 ? Math.min(1, share) : null;
}

/**
 * The days between changes at which the peak is at a cap.
 * @returns null where the new water itself is over it; Infinity where nothing is added
 */
export function everyFor(
  capMgL: number,
  addsMgL: number,
  { share, sourceMgL }: Omit<Rhythm, 'everyDays'>,
): number | null {
  if (addsMgL <= 0) return capMgL >= sourceMgL ? Infinity : null;
  return capMgL <= sourceMgL ? null : ((capMgL - sourceMgL) * share) / addsMgL;
}

/** What a day may add for the peak to be at a cap, mg/L; null where the new water itself is over it. */
export const addsFor = (capMgL: number, { share, everyDays, sourceMgL }: Rhythm): number | null =>
  capMgL < sourceMgL ? null : ((capMgL - sourceMgL) * share) / everyDays;

/** One change on a day. */
export interface Change {
  day: number;
  share: number;
  sourceMgL: number;
}

/**
 * From day to day, before and after that day’s change.
 * @param startMgL at the beginning of day 0
 * @param addsOn   what a day adds, less what plants take up, mg/L; never below nothing in the water
 */
export function sawTooth(
  startMgL: number,
  days: number,
  addsOn: (day: number) => number,
  changes: readonly Change[],
): { before: number; after: number }[] {
  const byDay = group(changes, ({ day }) => day);
  let mgL = startMgL;
  return Array.from({ length: days }, (_, day) => {
    const before = Math.max(0, mgL + addsOn(day));
    mgL = (byDay.get(day) ?? []).reduce(
      (now, { share, sourceMgL }) => now * (1 - share) + sourceMgL * share,
      before,
    );
    return { before, after: mgL };
  });
}

/**
 * What is left dissolved when water evaporates and is filled up again.
 * @param share     of the water that evaporated
 * @param sourceMgL in the water that it is filled up with
 */
export function afterFillingUp(mgL: number, share: number, sourceMgL: number): number {
  assertRange('share evaporated', share, 0, 1);
  return mgL + sourceMgL * share;
}
