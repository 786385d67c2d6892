import { proxy, wrap } from 'comlink';
import { weekWork, type WeekWork } from './weekWork';

type Done<F extends (...args: never[]) => unknown> = Promise<Awaited<ReturnType<F>>>;

/** The work of weeks, off the main thread, and a way to stop it. */
export type WeekWorker = {
  [K in keyof WeekWork]: (...args: Parameters<WeekWork[K]>) => Done<WeekWork[K]>;
} & {
  /** Ends whatever runs: its promises stay open for ever. */
  stop: () => void;
};

/** Start a worker; where there are none, the same work is done in place. */
export function startWeek(): WeekWorker {
  if (typeof Worker === 'undefined') return inPlace();
  const worker = new Worker(new URL('./week.worker.ts', window.location.href));
  const remote = wrap<WeekWork>(worker);
  return {
    judge: (task) => remote.judge(task),
    improve: (task, pins, onTried) => remote.improve(task, pins, proxy(onTried)),
    fit: (task, quick) => remote.fit(task, quick),
    help: (task, onTried) => remote.help(task, proxy(onTried)),
    convert: (task, to) => remote.convert(task, to),
    dryRun: (tanks, foods, days, onTank) => remote.dryRun(tanks, foods, days, proxy(onTank)),
    stop: () => worker.terminate(),
  };
}

function inPlace(): WeekWorker {
  let stopped = false;
  const later = <T>(work: (weekWork: WeekWork) => T | Promise<T>) =>
    new Promise<T>((resolve, reject) => {
      setTimeout(() => {
        if (stopped) return;
        void Promise.resolve(weekWork).then(work).then(resolve, reject);
      });
    });
  return {
    judge: (task) => later((work) => work.judge(task)),
    improve: (...args) => later((work) => work.improve(...args)),
    fit: (...args) => later((work) => work.fit(...args)),
    help: (...args) => later((work) => work.help(...args)),
    convert: (...args) => later((work) => work.convert(...args)),
    dryRun: (...args) => later((work) => work.dryRun(...args)),
    stop: () => {
      stopped = true;
    },
  };
}
