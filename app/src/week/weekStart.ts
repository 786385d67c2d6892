import { addDays, weekdayOf } from '@open-larder/core/round';

/** The first day of the week around a day, as the keeper counts weeks: from 1 Monday or 7 Sunday. */
export function weekStart(day: string, firstWeekday: number): string {
  return addDays(day, -((weekdayOf(day) - firstWeekday + 7) % 7));
}
