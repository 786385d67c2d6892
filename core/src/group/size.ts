/** What happens to the number of fish in a group; every other event leaves it as it is. */
export const SIZE_KINDS = [
  'arrived',
  'born',
  'joined',
  'counted',
  'died',
  'sold',
  'given',
  'parted',
] as const;
export type SizeKind = (typeof SIZE_KINDS)[number];

export const CAUSES = [
  'unknown',
  'age',
  'illness',
  'injury',
  'jumped',
  'eaten',
  'water',
  'starved',
  'new arrival',
] as const;
/** What a keeper thinks it died of. */
export type Cause = (typeof CAUSES)[number];

export interface Counts {
  males: number;
  females: number;
  unsexed: number;
}

/** What happened to a group's size. `counted` states the total seen; the rest add or take away. */
export interface SizeEvent extends Counts {
  kind: SizeKind;
  /** Local day, YYYY-MM-DD. */
  day: string;
}

export interface GroupSize extends Counts {
  total: number;
}

/** +1 adds to the group, −1 takes away, 0 states what is there. */
const SIGN: Record<SizeKind, 1 | 0 | -1> = {
  arrived: 1,
  born: 1,
  joined: 1,
  counted: 0,
  died: -1,
  sold: -1,
  given: -1,
  parted: -1,
};

const NONE: Counts = { males: 0, females: 0, unsexed: 0 };

function after(size: Counts, event: SizeEvent): Counts {
  const sign = SIGN[event.kind];
  if (sign === 0) return { males: event.males, females: event.females, unsexed: event.unsexed };
  return {
    males: size.males + sign * event.males,
    females: size.females + sign * event.females,
    unsexed: size.unsexed + sign * event.unsexed,
  };
}

/** An event that takes away more fish than there were. */
export interface SizeBreak<E extends SizeEvent = SizeEvent> {
  event: E;
  /** How many there were. */
  had: Counts;
}

/**
 * The first event, in order, that would leave fewer than no fish; null where all is possible.
 * @param events of one group, by day and then as they were written
 */
export function firstBreak<E extends SizeEvent>(events: readonly E[]): SizeBreak<E> | null {
  let size = NONE;
  for (const event of events) {
    const next = after(size, event);
    if (Math.min(next.males, next.females, next.unsexed) < 0) {
      return { event, had: size };
    }
    size = next;
  }
  return null;
}

/**
 * Size of a group at the end of a day: the sum of its events in their order.
 * A count replaces what was thought; arrivals and losses add and subtract.
 * @throws RangeError where a loss would take a count below zero
 */
export function sizeOn(events: readonly SizeEvent[], day: string): GroupSize {
  const past = events.filter((event) => event.day <= day);
  const broken = firstBreak(past);
  if (broken) throw new RangeError(`more left on ${broken.event.day} than there were`);
  const size = past.reduce<Counts>(after, NONE);
  return { ...size, total: size.males + size.females + size.unsexed };
}
