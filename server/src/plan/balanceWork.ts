import { parentPort, workerData } from 'node:worker_threads';
import { balance, solverOf, type Judged, type WeekTask } from '@open-larder/core/week';
import highsLoader from 'highs';
import { v7 as uuidv7 } from 'uuid';
import type { Said } from './balance';

const say = (said: Said) => parentPort?.postMessage(said);

const rowsOf = (servings: Judged['servings']) =>
  [...servings].map(([groupId, own]) => ({
    groupId,
    servings: own.map((serving) => ({ ...serving, days: [...serving.days] })),
  }));

/** Runs in a thread of its own: balance the task that it is given, and say what came of it. */
async function main(): Promise<void> {
  const { task, seconds } = workerData as { task: WeekTask; seconds: number };
  const began = performance.now();
  const solver = solverOf(await highsLoader());
  const { after, rounds, settled, drift, status, gap } = balance(task, solver, {
    newId: () => uuidv7(),
    seconds,
    now: () => performance.now() / 1000,
    onProgress: ({ best, ...progress }) => {
      say({
        progress: { ...progress, best: best && { ...best, servings: rowsOf(best.servings) } },
      });
      return true;
    },
  });
  say({
    answer: {
      servings: rowsOf(after.servings),
      rounds,
      settled,
      drift: Number.isFinite(drift) ? drift : 1,
      status,
      gap: Number.isFinite(gap) ? gap : 1,
      seconds: (performance.now() - began) / 1000,
    },
  });
}

void main();
