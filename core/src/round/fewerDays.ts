import { mayNotFast } from '../fish';
import type { Diet, HouseGroup, HouseTank } from './plan';

/** A serving on fewer days, since the least of it that can be served is more than they need. */
export interface FewerDays {
  /** Days of the week on which it is given still. */
  days: readonly number[];
  /** Days that become resting days, since nothing else is given on them. */
  rests: readonly number[];
}

const WEEK = 7;

/**
 * The days on which one step of a serving carries what it is meant to carry in a week, evenly spread.
 * @param ofWanted the least portion over what is needed of it, above 1
 * @returns null for fry, in a plan that is no week, and where it is given on so few days already
 */
export function fewerDays(
  { diet, stage }: HouseGroup,
  { plan }: Pick<HouseTank, 'plan'>,
  servingId: string,
  ofWanted: number,
): FewerDays | null {
  const serving = diet?.servings.find(({ id }) => id === servingId);
  if (!diet || !serving || plan.cycle.days !== WEEK || mayNotFast(stage)) return null;
  const given = serving.days.filter((day) => !diet.fastWeekdays.includes(day));
  const kept = Math.max(1, Math.round(given.length / ofWanted));
  if (kept >= given.length) return null;
  const days = maxEven(given, kept);
  const others = diet.servings.filter(({ id }) => id !== servingId);
  const rests = given.filter(
    (day) => !days.includes(day) && !others.some((one) => one.days.includes(day)),
  );
  return { days, rests };
}

/** So many of the days that no wait between two of them is longer than it must be, the earliest first. */
function maxEven(days: readonly number[], kept: number): number[] {
  let best: { wait: number; even: number; days: number[] } | null = null;
  for (let mask = 0; mask < 1 << days.length; mask += 1) {
    const some = days.filter((_, at) => mask & (1 << at));
    if (some.length !== kept) continue;
    const waits = some.map((day, at) => (some[at + 1] ?? some[0]! + WEEK) - day);
    const wait = Math.max(...waits);
    const even = waits.reduce((sum, one) => sum + one * one, 0);
    if (!best || wait < best.wait || (wait === best.wait && even < best.even)) {
      best = { wait, even, days: some };
    }
  }
  return best?.days ?? [];
}

/** The diet with a serving on fewer days. */
export const withFewerDays = <D extends Pick<Diet, 'fastWeekdays' | 'servings'>>(
  diet: D,
  servingId: string,
  { days, rests }: FewerDays,
): D => ({
  ...diet,
  fastWeekdays: [...new Set([...diet.fastWeekdays, ...rests])].sort((a, b) => a - b),
  servings: diet.servings.map((one) => (one.id === servingId ? { ...one, days: [...days] } : one)),
});
