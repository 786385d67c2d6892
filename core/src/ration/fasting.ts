import { mayNotFast } from '../fish';
import { hoursUntilHungry, largestMeal } from './gut';
import { dailyNeed, type GroupOnDay } from './need';

/** Hours of a day in which a group can be fed. Practice. */
const FED_HOURS = 12;
/** Digestible energy in a gram of dry matter, kJ: practice for flakes, pellets and worms alike. */
const KJ_PER_G_DRY = 15;

/**
 * By how much each feeding day is raised so that a week with fasting days carries a whole week's
 * energy: seven over the days that are left, no more than the guts hold in a day.
 * @param fastDays fasting days that return every week, 0 to 7
 */
export function fastFactor(group: GroupOnDay, fastDays: number): number {
  const fed = 7 - fastDays;
  if (fastDays === 0 || fed <= 0 || mayNotFast(group.stage)) return 1;
  const plain = { ...group, fastFactor: 1 };
  const need = dailyNeed(plain).value;
  if (need <= 0) return 1;
  const meals = Math.floor(FED_HOURS / hoursUntilHungry(plain).value) + 1;
  const holds = (largestMeal(plain).value * meals * KJ_PER_G_DRY) / need;
  return Math.max(1, Math.min(7 / fed, holds));
}
