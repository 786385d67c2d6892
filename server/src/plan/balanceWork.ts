import { parentPort, workerData } from 'node:worker_threads';
import { balance, solverOf, type WeekTask } from '@open-larder/core/week';
import highsLoader from 'highs';
import { v7 as uuidv7 } from 'uuid';

/** Runs in a thread of its own: balance the task that it is given, and say what came of it. */
async function main(): Promise<void> {
  const { task, seconds } = workerData as { task: WeekTask; seconds: number };
  const began = performance.now();
  const solver = solverOf(await highsLoader());
  const { after, rounds, settled, drift, status, gap } = balance(task, solver, {
    newId: () => uuidv7(),
    seconds,
    now: () => performance.now() / 1000,
  });
  parentPort?.postMessage({
    servings: [...after.servings].map(([groupId, servings]) => ({ groupId, servings })),
    rounds,
    settled,
    drift: Number.isFinite(drift) ? drift : 1,
    status,
    gap: Number.isFinite(gap) ? gap : 1,
    seconds: (performance.now() - began) / 1000,
  });
}

void main();
