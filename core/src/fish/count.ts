/** What happened to a group's size. Counts are of fish; `counted` states the total seen. */
export interface SizeEvent {
  kind: 'arrived' | 'counted' | 'died';
  /** Local day, YYYY-MM-DD. */
  day: string;
  males: number;
  females: number;
  unsexed: number;
}

export interface GroupSize {
  males: number;
  females: number;
  unsexed: number;
  total: number;
}

/**
 * Size of a group at the end of a day: the sum of its events in their order.
 * A count replaces what was thought; arrivals and deaths add and subtract.
 * @throws RangeError where a death would take a count below zero
 */
export function sizeOn(events: readonly SizeEvent[], day: string): GroupSize {
  let males = 0;
  let females = 0;
  let unsexed = 0;
  for (const event of events) {
    if (event.day > day) continue;
    if (event.kind === 'counted') {
      ({ males, females, unsexed } = event);
      continue;
    }
    const sign = event.kind === 'arrived' ? 1 : -1;
    males += sign * event.males;
    females += sign * event.females;
    unsexed += sign * event.unsexed;
    if (Math.min(males, females, unsexed) < 0) {
      throw new RangeError(
        `the losses entered for ${event.day} are more than the fish that were there`,
      );
    }
  }
  return { males, females, unsexed, total: males + females + unsexed };
}
