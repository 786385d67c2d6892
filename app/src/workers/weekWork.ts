import {
  converted,
  dryRun,
  fitted,
  helpFor,
  improve,
  judged,
  newMemory,
  solverOf,
  type Converted,
  type DryFood,
  type DryRun,
  type DryTank,
  type Help,
  type Improvements,
  type Judged,
  type Memory,
  type Pins,
  type FeedingStyle,
  type StyledDiet,
  type Solver,
  type WeekTask,
} from '@open-larder/core/week';
import type Loader from 'highs';
import { v7 as uuidv7 } from 'uuid';

let solver: Promise<Solver> | null = null;
/** The solver is large: it is fetched when it is asked for the first time what would help. */
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

/** What a worker does about weeks: plain functions of the core, with progress. */
export const weekWork = {
  judge(task: WeekTask): Judged {
    const about = JSON.stringify([task.tank, task.groups, task.foods]);
    if (lately?.about !== about) lately = { about, memory: newMemory() };
    return judged(task, lately.memory);
  },
  improve(task: WeekTask, pins: Pins, onTried: (done: number, of: number) => void): Improvements {
    return improve(task, {
      newId: () => uuidv7(),
      pins,
      onTried(done, of) {
        onTried(done, of);
        return true;
      },
    });
  },
  /** A plan that was just laid out, with the few changes that let it reach those it is for. */
  fit: (task: WeekTask, quick: boolean): ReturnType<typeof fitted> =>
    fitted(task, () => uuidv7(), { quick }),
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
