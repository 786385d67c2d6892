import { BELLY_HOLDS_DAYS, LOOK_AGAIN_DAYS, type Belly } from '../ration';
import { daysBetween } from '../round';

/** What was seen or measured: lengths cm, masses as shares of the usual one, nitrate mg/L. */
export type Seen =
  | { kind: 'belly'; score: Belly; still: boolean }
  | { kind: 'cleared'; minutes: number; ofMinutes: number }
  | { kind: 'left'; share: number }
  | { kind: 'growth'; cm: number; usualCm: number; behind: boolean }
  | { kind: 'mass'; ofUsual: number }
  | {
      kind: 'nitrate';
      now: boolean;
      mgL: number;
      capMgL: number;
      groupName: string;
      grows: boolean;
    }
  | { kind: 'poison'; which: 'ammonia' | 'nitrite' };

/** Something seen that speaks for a portion: too small, right, or too large. */
export interface Sign {
  seen: Seen;
  day: string;
  /** From -1, far too much, over 0, right, to 1, far too little. */
  pull: number;
  /** How much it says beside the others, 0..1. */
  weight: number;
  /** It compares days by itself, so that one of it is enough. */
  enough?: boolean;
  /** While it stands nothing more is fed, save to fry. */
  holds?: boolean;
}

/** What each belly speaks for. Assumptions. */
export const BELLY_PULL: Record<Belly, number> = { 1: 1, 2: 0.5, 3: 0, 4: -0.5, 5: -1 };
/** A meal gone within this share of the time that it may stay in was wanted in full. Assumption. */
const EAGER = 1 / 8;
/** Half of a meal left lying says all that leftovers can say. Assumption. */
const LEFT_FULL = 0.5;
/** A quick meal says less than a belly: fish eat as fast as they can. Assumption. */
const QUICK_WEIGHT = 0.6;

/**
 * What the bellies of a group say about its portions, from the looks of the last fourteen days, the
 * oldest first. A first thin belly says nothing here: the need is raised by itself while it holds.
 * One that is thin still, three days on, asks for larger portions for good.
 */
export function bellySigns(looks: readonly { day: string; score: Belly }[]): Sign[] {
  return looks.flatMap(({ day, score }, at) => {
    const before = looks
      .slice(0, at)
      .some(
        (one) =>
          one.score <= 2 &&
          daysBetween(one.day, day) >= LOOK_AGAIN_DAYS &&
          daysBetween(one.day, day) <= BELLY_HOLDS_DAYS,
      );
    if (score <= 2 && !before) return [];
    const seen: Seen = { kind: 'belly', score, still: score <= 2 };
    return [{ seen, day, pull: BELLY_PULL[score], weight: 1 }];
  });
}

/** A meal as it was watched. */
export interface WatchedMeal {
  day: string;
  /** Minutes until it was gone; null where it was not, or nobody looked. */
  clearedMin: number | null;
  /** Share that was left when it was lifted, 0..1; null if not observed. */
  left: number | null;
  /** Minutes for which its food may stay in; null where it is not lifted. */
  staysMin: number | null;
  /** The group's part of the food of the meal, 0..1. */
  part: number;
  /** Share of the group that came to it; null if not observed. */
  came: number | null;
}

/**
 * What a watched meal says about a group's portion. It says nothing about fish that did not come:
 * others ate what was meant for them.
 * @returns null where it says nothing
 */
export function mealSign({
  day,
  clearedMin,
  left,
  staysMin,
  part,
  came,
}: WatchedMeal): Sign | null {
  if (came === 0 || part <= 0) return null;
  if (left !== null && (left > 0 || clearedMin === null)) {
    const pull = left > 0 ? -Math.min(1, left / LEFT_FULL) : 0;
    return { seen: { kind: 'left', share: left }, day, pull, weight: part };
  }
  if (clearedMin === null || staysMin === null) return null;
  const eager = staysMin * EAGER;
  const late = (clearedMin - staysMin) / staysMin;
  const pull = clearedMin < eager ? 1 - clearedMin / eager : -Math.min(1, Math.max(0, late));
  const seen: Seen = { kind: 'cleared', minutes: clearedMin, ofMinutes: staysMin };
  return { seen, day, pull, weight: part * QUICK_WEIGHT };
}
