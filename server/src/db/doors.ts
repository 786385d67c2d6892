import pLimit, { type Limit } from 'p-limit';

/** Changes of a household that are under way at once: most of them would only wait for each other. */
const AT_ONCE = 2;

const doors = new Map<string, Limit>();

/**
 * Change a household as soon as it is this one's turn. Those who wait hold no connection meanwhile, and
 * what other households and readers ask is not behind them.
 */
export async function inTurn<T>(householdId: string, work: () => Promise<T>): Promise<T> {
  const door = doors.get(householdId) ?? pLimit(AT_ONCE);
  doors.set(householdId, door);
  try {
    return await door(work);
  } finally {
    if (door.activeCount + door.pendingCount === 0) doors.delete(householdId);
  }
}
