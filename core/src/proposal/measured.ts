import { daysBetween } from '../round';
import type { GrowthStatus } from '../growth/status';
import { grows, type Stage } from '../fish';
import type { WaterStatus } from '../water/status';
import { MAX_CHANGE } from './propose';
import type { Seen, Sign } from './signs';

/** So far behind its kind, as a share of the length, asks for all that a correction may be. Assumption. */
const BEHIND_FULL = 0.2;
/** So far off its usual mass, the same; within the other it is right. Assumptions. */
const MASS_FULL = 0.25;
const MASS_RIGHT = 0.1;
/** Scales and a kind's usual mass are both rough: one says less than a belly. Assumption. */
const MASS_WEIGHT = 0.7;
/** The water is changed before anyone is fed less for it. Assumption. */
const NITRATE_WEIGHT = 0.5;
/** What a test and a steady rhythm say of a portion holds once it has stood for so long. Assumption. */
const WATER_SETTLES_DAYS = 7;

/**
 * What measurements say of a group's portions. Length speaks for those that grow only: behind their
 * kind they need more; ahead of it is no reason for less. Fish that shrank say nothing here: other
 * fish were measured, or something else is wrong.
 */
export function growthSigns(status: GrowthStatus, stage: Stage): Sign[] {
  const signs: Sign[] = [];
  const last = status.samples.at(-1);
  const { against, usualCm, condition, shrank } = status;
  if (last && grows(stage) && shrank === null && usualCm !== null && against !== 'unsure') {
    const behind = against === 'behind';
    const pull = behind ? Math.min(1, (1 - last.mean / usualCm) / BEHIND_FULL) : 0;
    const seen: Seen = { kind: 'growth', cm: last.mean, usualCm, behind };
    signs.push({ seen, day: last.day, pull, weight: 1, enough: behind });
  }
  if (condition) {
    const off = condition.value - 1;
    const far = Math.min(1, Math.max(0, (Math.abs(off) - MASS_RIGHT) / (MASS_FULL - MASS_RIGHT)));
    const pull = far === 0 ? 0 : -Math.sign(off) * far;
    const seen: Seen = { kind: 'mass', ofUsual: condition.value };
    signs.push({ seen, day: condition.day, pull, weight: MASS_WEIGHT });
  }
  return signs;
}

/**
 * What the water of its tank says of a group's portions, where nitrate passes the cap: less, as far as
 * food is the matter. Changes of water come first, so that by itself it asks for less food only where
 * no change is enough. For those that grow it is reported and left out: they are not starved for the water.
 * @param since the day since which the portions are what they are; '' for always
 */
export function nitrateSign(
  status: WaterStatus,
  stage: Stage,
  { since, today }: { since: string; today: string },
): Sign | null {
  const { cap, keeps, over } = status;
  if (cap === null || keeps === null) return null;
  const still = { day: today, pull: 0, weight: 0 };
  const nitrate = (mgL: number, now: boolean): Seen => ({
    kind: 'nitrate',
    now,
    mgL,
    capMgL: cap.mgL,
    groupName: cap.groupName,
    grows: grows(stage),
  });
  if (over !== null) {
    // Too much is in it now: it is brought down by changes, and nothing more is fed until then.
    return { ...still, seen: nitrate(over.mgL, true), holds: true };
  }
  for (const { kind } of status.warnings) {
    if (kind !== 'ammonia' && kind !== 'nitrite') continue;
    return { ...still, seen: { kind: 'poison', which: kind }, holds: true };
  }
  if (!passesCap(status)) return null;
  if (since !== '' && daysBetween(since, today) < WATER_SETTLES_DAYS) return null;
  const { ration } = keeps;
  if (ration !== null && ration >= 1) return null;
  const seen = nitrate(status.peakMgL, false);
  if (grows(stage)) return { ...still, seen };
  return {
    day: today,
    seen,
    pull: -Math.min(1, (1 - (ration ?? 0)) / MAX_CHANGE),
    weight: NITRATE_WEIGHT,
    enough: keeps.share === null && keeps.everyDays === null,
  };
}

/** Whether it is over its cap, or comes to be as far as one can tell. */
export const passesCap = ({ warnings }: Pick<WaterStatus, 'warnings'>): boolean =>
  warnings.some((one) => one.kind === 'overCap' || (one.kind === 'willPass' && one.likely));
