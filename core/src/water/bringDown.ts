import type { Rhythm } from './sawTooth';

/** One change on the way down. */
export interface DownStep {
  /** Days from today. */
  inDays: number;
  share: number;
  /** What it leaves, mg/L. */
  toMgL: number;
}

/**
 * Most of the water at once, by what the strictest group tolerates, mg/L: fish that stand little suffer from
 * sudden change too. Assumptions.
 */
const MAX_AT_ONCE: readonly [toleratesMgL: number, share: number][] = [
  [20, 0.25],
  [40, 0.35],
  [Infinity, 0.5],
];
const DAYS_BETWEEN = 2;
const MAX_STEPS = 14;
/** Shares are changed in steps of a twentieth. */
const STEP = 0.05;
/** New water that is so near the cap leaves no room to come under it. */
const MIN_ROOM = 0.1;

export const maxAtOnce = (toleratesMgL: number): number =>
  MAX_AT_ONCE.find(([max]) => toleratesMgL <= max)![1];

/**
 * Changes that bring a tank under what its strictest group tolerates, far enough that the rhythm can hold
 * it there: never more at once than they bear, two days apart.
 * @param nowMgL  in the water today
 * @param addsMgL what a day adds
 * @returns null where no change can: the new water itself is too near the cap
 */
export function bringDown(
  nowMgL: number,
  capMgL: number,
  addsMgL: number,
  {
    everyDays,
    sourceMgL,
    changedToday = false,
  }: Pick<Rhythm, 'everyDays' | 'sourceMgL'> & { changedToday?: boolean },
): DownStep[] | null {
  const room = capMgL - sourceMgL;
  if (room <= MIN_ROOM * capMgL) return null;
  // Low enough for what one interval adds, where that is possible at all.
  const goal = Math.max(sourceMgL + room / 2, capMgL - Math.max(0, addsMgL) * everyDays);
  const max = maxAtOnce(capMgL);
  const steps: DownStep[] = [];
  let mgL = nowMgL;
  let leftMgL = nowMgL;
  while (leftMgL > goal + 1e-9 && steps.length < MAX_STEPS) {
    const wanted = (mgL - goal) / (mgL - sourceMgL);
    const share = Math.min(max, Math.max(STEP, Math.ceil(wanted / STEP - 1e-9) * STEP));
    const toMgL = mgL - (mgL - sourceMgL) * share;
    steps.push({
      inDays: (steps.length + (changedToday ? 1 : 0)) * DAYS_BETWEEN,
      share: Math.round(share * 100) / 100,
      toMgL,
    });
    leftMgL = toMgL;
    mgL = toMgL + Math.max(0, addsMgL) * DAYS_BETWEEN;
  }
  return steps;
}
