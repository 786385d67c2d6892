import {
  balance,
  converted,
  dryRun,
  helpFor,
  judged,
  newMemory,
  solverOf,
  type Balanced,
  type Converted,
  type DryFood,
  type DryRun,
  type DryTank,
  type Help,
  type Judged,
  type Memory,
  type Progress,
  type FeedingStyle,
  type StyledDiet,
  type Solver,
  type WeekTask,
} from '@open-larder/core/week';
import type Loader from 'highs';
import { v7 as uuidv7 } from 'uuid';

/** What came of balancing. */
export interface BalancedPlan extends Pick<Balanced, 'before' | 'after' | 'rounds' | 'drift'> {
  /** Null where it was ended before it could settle; so are the seconds. */
  settled: boolean | null;
  seconds: number | null;
}

let solver: Promise<Solver> | null = null;
/** The solver is large: it is fetched when a plan is balanced for the first time. */
function loadSolver(): Promise<Solver> {
  // Taken in this form since its other build reads import.meta, which a bundled worker has not.
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  const load = require('highs') as typeof Loader;
  solver ??= load({ locateFile: (file) => `/${file}` })
    .then(solverOf)
    .catch((error: Error) => {
      solver = null;
      throw new Error(
        `The solver could not be loaded (${error.message}). Reload the page and try again; the plan is as it was.`,
      );
    });
  return solver;
}

/** What was simulated of the tank that is looked at: an edit of one day simulates that day alone. */
let lately: { about: string; memory: Memory } | null = null;

const SECONDS = 20;

/** What a worker does about weeks: plain functions of the core, with progress. */
export const weekWork = {
  judge(task: WeekTask): Judged {
    const about = JSON.stringify([task.tank, task.groups, task.foods]);
    if (lately?.about !== about) lately = { about, memory: newMemory() };
    return judged(task, lately.memory);
  },
  async balance(task: WeekTask, onProgress: (progress: Progress) => void): Promise<BalancedPlan> {
    const loaded = await loadSolver();
    const began = performance.now();
    const { before, after, rounds, settled, drift } = balance(task, loaded, {
      newId: () => uuidv7(),
      seconds: SECONDS,
      now: () => performance.now() / 1000,
      onProgress: (progress) => {
        onProgress(progress);
        return true;
      },
    });
    const seconds = (performance.now() - began) / 1000;
    return { before, after, rounds, settled, drift, seconds };
  },
  async help(task: WeekTask, onTried: (done: number, of: number) => void): Promise<Help[]> {
    return helpFor(task, await loadSolver(), (done, of) => {
      onTried(done, of);
      return true;
    });
  },
  convert: (
    task: WeekTask,
    to: FeedingStyle,
  ): { diets: Map<string, StyledDiet>; said: Converted[] } => converted(task, to, () => uuidv7()),
  dryRun: (
    tanks: readonly DryTank[],
    foods: readonly DryFood[],
    days: number,
    onTank: (done: number, of: number) => void,
  ): DryRun =>
    dryRun(tanks, foods, days, (done, of) => {
      onTank(done, of);
      return true;
    }),
};

export type WeekWork = typeof weekWork;
