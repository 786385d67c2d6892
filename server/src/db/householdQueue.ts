import pLimit, { type Limit } from 'p-limit';

/** Transactions of a household at a time: more would mostly wait for each other's locks. */
const CONCURRENT = 2;

const queues = new Map<string, Limit>();

/**
 * Run a transaction of a household when its turn comes. While it waits it holds no connection, so other
 * households and readers are not held up.
 */
export async function queued<T>(householdId: string, work: () => Promise<T>): Promise<T> {
  const queue = queues.get(householdId) ?? pLimit(CONCURRENT);
  queues.set(householdId, queue);
  try {
    return await queue(work);
  } finally {
    if (queue.activeCount + queue.pendingCount === 0) queues.delete(householdId);
  }
}
