import { proxy, wrap } from 'comlink';
import { cultureWork, type CultureWork } from './cultureWork';

/** The work of supplying, off the main thread, and a way to stop it. */
export interface CultureWorker {
  supply: (
    ...args: Parameters<CultureWork['supply']>
  ) => Promise<ReturnType<CultureWork['supply']>>;
  /** Ends whatever runs: its promises stay open for ever. */
  stop: () => void;
}

/** Start a worker; where there are none, the same work is done in place. */
export function startCulture(): CultureWorker {
  if (typeof Worker === 'undefined') return inPlace();
  const worker = new Worker(new URL('./culture.worker.ts', window.location.href));
  const remote = wrap<CultureWork>(worker);
  return {
    supply: (task, onFood) => remote.supply(task, proxy(onFood)),
    stop: () => worker.terminate(),
  };
}

function inPlace(): CultureWorker {
  let stopped = false;
  return {
    supply: (...args) =>
      new Promise((resolve) => {
        setTimeout(() => {
          if (!stopped) resolve(cultureWork.supply(...args));
        });
      }),
    stop: () => {
      stopped = true;
    },
  };
}
