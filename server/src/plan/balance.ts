import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { BalancedRow } from '@open-larder/contract';
import type { WeekTask } from '@open-larder/core/week';
import { conflict } from '../http/problems';

/** Seconds of solving, and after which a thread that does not answer is ended. */
const SECONDS = 20;
const PATIENCE_MS = 60_000;
/** A house is balanced by one person, a tank at a time: more at once would starve the others. */
const MOST_AT_ONCE = 2;
let running = 0;
/** A thread does not inherit that TypeScript is read: it has to be said again. */
const START = "require('tsx/cjs'); require(require('node:worker_threads').workerData.work);";

/**
 * Balance a tank's plan in a thread of its own, so that the server goes on answering.
 * @throws ProblemError 409 where two plans are being balanced already
 */
export async function balanceAside(task: WeekTask): Promise<BalancedRow> {
  if (running >= MOST_AT_ONCE) {
    throw conflict('Two plans are being balanced already. Try again in a minute.');
  }
  running += 1;
  const worker = new Worker(START, {
    eval: true,
    execArgv: [],
    workerData: { task, seconds: SECONDS, work: join(__dirname, 'balanceWork.ts') },
  });
  const patience = setTimeout(() => void worker.terminate(), PATIENCE_MS);
  try {
    return await new Promise<BalancedRow>((resolve, reject) => {
      worker.once('message', resolve);
      worker.once('error', reject);
      worker.once('exit', () => reject(conflict('The plan could not be balanced in time.')));
    });
  } finally {
    clearTimeout(patience);
    running -= 1;
    void worker.terminate();
  }
}
