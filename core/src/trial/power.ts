import { student95, studentAbove } from '../chance/distributions';
import { assertRange } from '../units';

/**
 * Chance that a difference between two equal lots of fish is seen, at five in a hundred.
 * @param effect difference in standard deviations of one fish, above nothing
 * @param each   fish on each side, 2 or more
 * @returns 0..1
 * @throws RangeError for fewer than two fish a side
 * Method: two-sided t test of two means, noncentral t. Source: Cohen 1988, Statistical Power Analysis.
 */
export function powerOf(effect: number, each: number): number {
  assertRange('fish on each side', each, 2, 1e6);
  const freedom = 2 * each - 2;
  const from = student95(freedom);
  const away = Math.abs(effect) * Math.sqrt(each / 2);
  // Far off nothing is missed, and the tail of the other side is nothing.
  return away > 12 ? 1 : studentAbove(from, freedom, away);
}

/** More than this nobody measures in a house. */
const MAX_FISH = 2000;

/**
 * Fish on each side that show a difference with a chance.
 * @param power 0.5 to 0.99; four in five is usual
 * @returns null where even 2000 on each side would not
 */
export function fishFor(effect: number, power = 0.8): number | null {
  assertRange('chance to see it', power, 0.5, 0.99);
  if (!(Math.abs(effect) > 0) || powerOf(effect, MAX_FISH) < power) return null;
  let [low, high] = [2, MAX_FISH];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (powerOf(effect, middle) >= power) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** What a trial of two diets is planned on. */
export interface TrialPlan {
  /** Mean length now, cm, and the spread between fish as a share of it. */
  lengthCm: number;
  cv: number;
  /** Growth in a week, cm. */
  growsCm: number;
  /** The difference in growth that is worth seeing, as a share: 0.2 is a fifth more. */
  difference: number;
  power?: number;
}

/** Fish of one tub share its water and luck: so alike are they. Assumption, from fish farms’ tanks. */
const ALIKE = 0.05;

/**
 * How much more the mean of a side is off, squared, than its own spread says of so many fish: those of
 * a tub are alike, and the spread within tubs leaves that out.
 */
export function tubEffect(fish: number, tubs: number): number {
  const others = Math.max(0, fish / tubs - 1);
  return (1 + others * ALIKE) / (1 - (others * ALIKE) / (fish - 1));
}

/**
 * For each number of weeks, the fish on each side that show the difference.
 * @param tubsEach tubs on each side, 1 or more
 * @throws RangeError for what cannot be
 */
export function fishByWeeks(
  { lengthCm, cv, growsCm, difference, power = 0.8 }: TrialPlan,
  weeks: readonly number[],
  tubsEach = 1,
): { weeks: number; each: number | null }[] {
  assertRange('mean length in cm', lengthCm, 0.1, 200);
  assertRange('spread between fish', cv, 0.01, 1);
  assertRange('growth a week in cm', growsCm, 0, 20);
  assertRange('tubs on each side', tubsEach, 1, 40);
  return weeks.map((after) => {
    const sd = cv * (lengthCm + growsCm * after);
    const plain = fishFor((difference * growsCm * after) / sd, power);
    if (plain === null) return { weeks: after, each: null };
    // More fish in a tub tell less than their number: n = plain · (1 + (n / tubs − 1) · alike).
    const each = (plain * (1 - ALIKE)) / (1 - (plain * ALIKE) / tubsEach);
    const whole = each > 0 ? Math.ceil(each - 1e-9) : null;
    return { weeks: after, each: whole === null || whole > MAX_FISH ? null : whole };
  });
}
