import { countLimits } from '../chance/distributions';
import type { Cause, SizeEvent } from '../group';
import { daysBetween } from '../round';

/** What became of a group between two days. */
export interface Survival {
  /** Fish-days lived: the measure that losses are set against. */
  fishDays: number;
  died: number;
  causes: { cause: Cause; count: number }[];
  /** Chance that a fish lives through thirty days of such, with its 95 % interval; null where none lived here. */
  over30: { share: number; low: number; high: number } | null;
}

type Lived = Pick<SizeEvent, 'kind' | 'day' | 'males' | 'females' | 'unsexed'> & {
  cause?: Cause | null;
};

const SPAN = 30;
const ADDS = new Set(['arrived', 'born', 'joined']);

/**
 * Losses of a group against the days that its fish lived.
 * @param events what happened to its size, oldest first; those that left for elsewhere are no losses
 * @param from, to  both days counted, YYYY-MM-DD
 * Method: a constant hazard over the span; limits of the count after Garwood 1936.
 */
export function survivalOf(events: readonly Lived[], from: string, to: string): Survival {
  let there = 0;
  let since = from;
  let fishDays = 0;
  let died = 0;
  const causes = new Map<Cause, number>();
  const pass = (day: string) => {
    if (day > since) {
      fishDays += there * daysBetween(since, day);
      since = day;
    }
  };
  for (const event of events) {
    if (event.day > to) break;
    pass(event.day);
    const count = event.males + event.females + event.unsexed;
    if (event.kind === 'counted') there = count;
    else there = Math.max(0, there + (ADDS.has(event.kind) ? count : -count));
    if (event.kind === 'died' && event.day >= from) {
      died += count;
      const cause = event.cause ?? 'unknown';
      causes.set(cause, (causes.get(cause) ?? 0) + count);
    }
  }
  if (to >= since) fishDays += there * (daysBetween(since, to) + 1);
  const lives = (deaths: number) => Math.exp((-deaths / fishDays) * SPAN);
  const { low, high } = countLimits(died);
  return {
    fishDays,
    died,
    causes: [...causes]
      .map(([cause, count]) => ({ cause, count }))
      .sort((a, b) => b.count - a.count),
    over30: fishDays > 0 ? { share: lives(died), low: lives(high), high: lives(low) } : null,
  };
}
