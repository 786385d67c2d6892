import { eatsNothing, mayNotFast, type Stage } from '../fish';
import { daysBetween } from '../round';
import { computed, type Known } from '../why';
import type { Belly } from '../ration';
import { BELLY_PULL, type Sign } from './signs';

/** No proposal changes a group's portions by more. */
export const MAX_CHANGE = 0.15;
/** A smaller change than this is within what hands and pinches differ by. Assumption. */
const MIN_CHANGE = 0.05;
/** Days that a sign is looked back to, and in which one is half as much worth. Assumptions. */
export const SIGNS_DAYS = 14;
const HALF_LIFE_DAYS = 4;
/** On so many different days of the last week it must have been seen. Assumption. */
const DAYS_SEEN = 2;
const WEEK_DAYS = 7;
/** What was declined is not asked again for so many days; what was put off is. Assumptions. */
export const QUIET_DAYS = 28;
export const LATER_DAYS = 7;

/** A change of all portions of a group, with what speaks for it: its «why» goes back to the signs. */
export interface Proposal {
  /** From -0.15 to 0.15. */
  change: number;
  /** The newest first. */
  signs: Sign[];
  why: Known;
}

/**
 * What the signs of the last fourteen days ask for: their exponentially weighted mean, times the most
 * that a correction may be. Nothing is proposed from one day alone, unless what was measured compares
 * days by itself, for what would not be felt, for those that eat nothing, nor less for fry, which
 * starve within hours; nor more while the water is over what is tolerated in it, nor against how the
 * bellies looked last.
 * @param today YYYY-MM-DD
 * @param belly how they looked last; null if not observed lately
 * @returns null where the portions may stay as they are
 */
export function propose(
  stage: Stage,
  signs: readonly Sign[],
  today: string,
  belly: Belly | null = null,
): Proposal | null {
  if (eatsNothing(stage)) return null;
  const seen = signs
    .filter(({ day }) => day <= today && daysBetween(day, today) < SIGNS_DAYS)
    .sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0));
  let sum = 0;
  let weights = 0;
  for (const { day, pull, weight } of seen) {
    const worth = weight * 0.5 ** (daysBetween(day, today) / HALF_LIFE_DAYS);
    sum += worth * pull;
    weights += worth;
  }
  const pull = weights > 0 ? sum / weights : 0;
  const change = Math.round(pull * MAX_CHANGE * 100) / 100;
  const days = new Set(
    seen
      .filter((sign) => sign.pull * pull > 0 && daysBetween(sign.day, today) < WEEK_DAYS)
      .map(({ day }) => day),
  );
  const enough = seen.some((sign) => sign.enough && sign.pull * pull > 0);
  if (Math.abs(change) < MIN_CHANGE || (days.size < DAYS_SEEN && !enough)) return null;
  if (change < 0 && mayNotFast(stage)) return null;
  // Bellies overrule what is left: food that thin fish leave does not reach them, and full ones need no more.
  if (belly !== null && BELLY_PULL[belly] * change < 0) return null;
  if (change > 0 && !mayNotFast(stage) && seen.some(({ holds }) => holds)) return null;
  return {
    change,
    signs: seen,
    why: computed(change * 100, {
      label: 'Proposed change of the portions',
      unit: '%',
      how: 'mean of what was seen, newer weighing more (half after four days), times 15 %',
      source: 'A bounded correction; its steps are assumptions',
      from: [],
    }),
  };
}
