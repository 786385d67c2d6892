import { assertRange } from '../units';

/** What of a water mixes as its share does. pH does not: it is tested after mixing. */
export interface MixedWater {
  /** Total dissolved solids, mg/L. */
  tdsMgL: number;
  /** General hardness, °dGH. */
  gh: number;
  tempC: number;
}

/** Two waters mixed: so much of the first, the rest of the second. @param share 0 to 1 */
export function mixed(a: MixedWater, b: MixedWater, share: number): MixedWater {
  assertRange('share of the first water', share, 0, 1);
  const of = (key: keyof MixedWater) => a[key] * share + b[key] * (1 - share);
  return { tdsMgL: of('tdsMgL'), gh: of('gh'), tempC: of('tempC') };
}

/**
 * The share of one water in a mix with another that brings a figure to a target.
 * @returns 0 to 1; null where the target lies outside what the two can give
 */
export function mixFor(
  key: keyof MixedWater,
  target: number,
  a: MixedWater,
  b: MixedWater,
): number | null {
  const span = a[key] - b[key];
  if (span === 0) return target === a[key] ? 1 : null;
  const share = (target - b[key]) / span;
  return share < -1e-12 || share > 1 + 1e-12 ? null : Math.min(1, Math.max(0, share));
}

/**
 * The share of a tank to change with a water that brings a figure to a target: a cool refill, or
 * dissolved solids that fall as in the rains.
 * @returns 0 to 1; null where even a whole change would not
 */
export const changeTo = (
  key: keyof MixedWater,
  target: number,
  tank: MixedWater,
  refill: MixedWater,
): number | null => mixFor(key, target, refill, tank);

/** One change of a trigger that goes by steps. */
export interface RefillStep {
  day: number;
  share: number;
  after: MixedWater;
}

/**
 * Changes in equal steps down to a target, none larger than a share that the fish stand.
 * @param everyDays days between two of them
 * @param mostShare of the tank at once, 0.05 to 0.9
 * @returns null where the refill cannot bring it there
 */
export function stepsTo(
  key: keyof MixedWater,
  target: number,
  tank: MixedWater,
  refill: MixedWater,
  { everyDays, maxShare }: { everyDays: number; maxShare: number },
): RefillStep[] | null {
  assertRange('share changed at once', maxShare, 0.05, 0.9);
  const whole = changeTo(key, target, tank, refill);
  if (whole === null) return null;
  // Each leaves the same part of what was there: so many of them leave what one whole would.
  const left = Math.max(1e-3, 1 - whole);
  const steps = whole === 0 ? 0 : Math.max(1, Math.ceil(Math.log(left) / Math.log(1 - maxShare)));
  const share = steps === 0 ? 0 : 1 - left ** (1 / steps);
  const report: RefillStep[] = [];
  let water = tank;
  for (let at = 0; at < steps; at += 1) {
    water = mixed(refill, water, share);
    report.push({ day: at * everyDays, share, after: water });
  }
  return report;
}
