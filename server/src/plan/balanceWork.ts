import { parentPort, workerData } from 'node:worker_threads';
import { improve, type Pins, type WeekTask } from '@open-larder/core/week';
import { v7 as uuidv7 } from 'uuid';
import type { Said } from './balance';

const say = (said: Said) => parentPort?.postMessage(said);

/** Runs in a thread of its own: better the plan of the task that it is given, and say what came of it. */
const { task, pins } = workerData as { task: WeekTask; pins: Pins };
const { found } = improve(task, {
  newId: () => uuidv7(),
  pins,
  onTried(done, of) {
    say({ progress: { done, of } });
    return true;
  },
});
say({ answer: { found: found.map(({ ways, acts }) => ({ ways, acts })) } });
