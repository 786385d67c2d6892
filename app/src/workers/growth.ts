import { growthWork, type Fitted, type GrowthWork, type Told } from './growthWork';

/** The fitting of curves, off the main thread, and a way to stop it. */
export interface GrowthWorker {
  fit: (...args: Parameters<GrowthWork['fit']>) => Promise<Fitted[]>;
  /** Ends whatever runs: its promises stay open for ever. */
  stop: () => void;
}

/**
 * Start a worker; where there are none, the same work is done in place. It speaks by plain messages:
 * the package that the others use would be shared by two doors, and so load with the first screen.
 */
export function startGrowth(): GrowthWorker {
  if (typeof Worker === 'undefined') return inPlace();
  const worker = new Worker(new URL('./growth.worker.ts', window.location.href));
  return {
    fit: (batches, days, onBatch) =>
      new Promise((resolve, reject) => {
        worker.onmessage = ({ data }: MessageEvent<Told>) => {
          if ('done' in data) onBatch(data.done, data.of);
          else if ('result' in data) resolve(data.result);
          else reject(new Error(data.fault));
        };
        worker.onerror = ({ message }) => reject(new Error(message));
        worker.postMessage({ batches, days });
      }),
    stop: () => worker.terminate(),
  };
}

function inPlace(): GrowthWorker {
  let stopped = false;
  return {
    fit: (...args) =>
      new Promise((resolve) => {
        setTimeout(() => {
          if (!stopped) resolve(growthWork.fit(...args));
        });
      }),
    stop: () => {
      stopped = true;
    },
  };
}
