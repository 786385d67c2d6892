import type { Heed } from '@open-larder/core/proposal';
import type { UnitChoice } from '@open-larder/core/units';
import { formatMgL, formatQuantity } from './figures';
import { someDays } from './time';

/** What to do, and why, where another portion is no answer. */
export function formatHeed(heed: Heed, units: UnitChoice): { says: string; why: string } {
  const warmth = (tempC: number) => formatQuantity(units, 'temperature', tempC);
  switch (heed.is) {
    case 'hangsBack':
      return {
        says: 'Feed them where and when the others do not',
        why: `Some hung back on ${someDays(heed.days)} of the last two weeks. More food does not reach them: ask for better on the tank’s page, or watch for illness.`,
      };
    case 'fullYoung':
      return {
        says: 'Make each meal smaller, and keep their number',
        why: `They were round on ${someDays(heed.days)}. Young starve within hours, so no meal is left out: take out what they leave.`,
      };
    case 'tooCold':
      return {
        says: 'Warm the water, or feed little and seldom',
        why: `${warmth(heed.tempC)}; below ${warmth(heed.limitC)} they digest slowly or not at all. A season on the week’s page feeds less for as long as it is cold.`,
      };
    case 'overLimit':
      return {
        says: 'Change water, and say how you change it',
        why: `Nitrate is or will be at ${formatMgL(heed.mgL)} mg/L; they tolerate ${formatMgL(heed.capMgL)}. Put a rhythm of changes into the plan: the smallest that is enough is worked out for you.`,
      };
    case 'poison':
      return {
        says: 'Change water today, and feed nothing until it is gone',
        why: `There is ${heed.which} in the water. Test again tomorrow; keep feeding fry, and remove what they leave at once.`,
      };
  }
}
