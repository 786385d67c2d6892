import type { PortionsProposed, TrainingProposed } from '@open-larder/contract';
import type { Words } from '../store';
import { lowerFirst } from '../ui';

/** «8 % less» */
export const sayChange = (change: number): string =>
  `${Math.round(Math.abs(change) * 100)} % ${change < 0 ? 'less' : 'more'}`;

/** «7½ → 6½ pinches»; the unit stands once where it is the same. */
export function sayStep({ before, after }: { before: string; after: string }): string {
  const [number, ...unit] = before.split(' ');
  return `${after.endsWith(unit.join(' ')) ? number : before} → ${after}`;
}

/** Signs that are named; the others are counted. */
const NAMED = 3;

/** «25 % left on Tue 24 Nov; flat still on Sun 22 Nov; and 2 more» */
export function saySigns({ signs }: Pick<PortionsProposed, 'signs'>, words: Words): string {
  const named = signs.slice(0, NAMED).map(({ day, says }) => `${says} on ${words.day(day)}`);
  const more = signs.length - named.length;
  return [...named, ...(more > 0 ? [`and ${more} more`] : [])].join('; ');
}

/** «Came 12 days ago and refused them 3 times of 4. …» */
export function sayRefused({
  dealt,
  refused,
  newcomerDays,
  withFoodName,
}: TrainingProposed): string {
  const came =
    newcomerDays === null
      ? ''
      : `Came ${newcomerDays === 0 ? 'today' : `${newcomerDays} ${newcomerDays === 1 ? 'day' : 'days'} ago`}. `;
  return `${came}Refused ${refused} of ${dealt} in two weeks. A little of it mixed into the ${lowerFirst(
    withFoodName,
  )} that they take, and more as they take it, may teach them; the rest of their day stays.`;
}
