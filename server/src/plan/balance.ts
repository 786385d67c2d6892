import type { BalancedRow, BalancingRow } from '@open-larder/contract';
import type { Pins, WeekTask } from '@open-larder/core/week';
import { conflict } from '../http/problems';
import { threadOf } from '../thread';

/** A thread that does not answer by then is ended. */
const PATIENCE_MS = 120_000;
/** A house is balanced by one person, a tank at a time: more at once would starve the others. */
const MAX_AT_ONCE = 2;
let running = 0;

/** What a thread says: how far it is, and at last what came of it. */
export type Said = { progress: BalancingRow } | { answer: BalancedRow };

/**
 * Better a tank's plan in a thread of its own, so that the server goes on answering.
 * @param gone ends it early: nobody waits any more
 * @throws ProblemError 409 where two plans are being balanced already, or where it did not end
 */
export async function balanceAside(
  task: WeekTask,
  pins: Pins,
  report: (news: BalancingRow) => void,
  gone: AbortSignal,
): Promise<BalancedRow> {
  if (running >= MAX_AT_ONCE) {
    throw conflict('Two plans are being balanced already. Try again in a minute.');
  }
  running += 1;
  const worker = threadOf(__dirname, 'balanceWork', { task, pins });
  const end = () => void worker.terminate();
  const patience = setTimeout(end, PATIENCE_MS);
  gone.addEventListener('abort', end);
  try {
    return await new Promise<BalancedRow>((resolve, reject) => {
      worker.on('message', (said: Said) => {
        if ('progress' in said) report(said.progress);
        else resolve(said.answer);
      });
      worker.once('error', reject);
      worker.once('exit', () => reject(conflict('The plan could not be balanced in time.')));
    });
  } finally {
    clearTimeout(patience);
    gone.removeEventListener('abort', end);
    // A place is free once the thread has really ended.
    await worker.terminate();
    running -= 1;
  }
}
