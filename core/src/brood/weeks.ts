import { addDays } from '../round';
import type { Feed } from './feeds';
import type { TubStatus } from './tubs';

/** What a brood asks for in a week to come, as it is then if all live. */
export interface WeekAhead {
  from: string;
  /** Seasoned water a day, and water that they want at their length, litres. */
  changeL: number;
  wantsL: number;
  minutesPerDay: number;
}

/** Minutes for a meal, and for lifting and changing a tub. Assumptions. */
export const MINUTES_A_MEAL = 2;
export const MINUTES_A_CHANGE = 5;
/** Weeks that are looked ahead. */
export const WEEKS = 6;
const WEEK = 7;

/**
 * The work and the water of the weeks from a day on.
 * @param feedsOn what is fed so many days from then
 * @param tubsOn  the tubs so many days from then
 */
export function weeksAhead(
  today: string,
  feedsOn: (ahead: number) => readonly Feed[],
  tubsOn: (ahead: number) => readonly TubStatus[],
): WeekAhead[] {
  return Array.from({ length: WEEKS }, (_, week) => {
    const ahead = week * WEEK;
    const meals = Math.max(0, ...feedsOn(ahead).map((feed) => feed.meals));
    const fed = tubsOn(ahead).filter(({ gramsPerDay }) => gramsPerDay > 0);
    const sum = (of: (tub: TubStatus) => number) => fed.reduce((all, tub) => all + of(tub), 0);
    return {
      from: addDays(today, ahead),
      // Where no daily change is enough, all of it is changed.
      changeL: sum(({ change, litres }) => (change ?? 1) * litres),
      wantsL: sum(({ wantsL }) => wantsL ?? 0),
      minutesPerDay: fed.length * (meals * MINUTES_A_MEAL + MINUTES_A_CHANGE),
    };
  });
}
