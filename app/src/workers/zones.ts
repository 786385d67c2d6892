import { proxy, wrap } from 'comlink';
import { zonesWork, type ZonesWork } from './zonesWork';

type Done<F extends (...args: never[]) => unknown> = Promise<Awaited<ReturnType<F>>>;

/** The work of simulating, off the main thread, and a way to stop it. */
export interface ZonesWorker {
  play: (...args: Parameters<ZonesWork['play']>) => Done<ZonesWork['play']>;
  bands: (...args: Parameters<ZonesWork['bands']>) => Done<ZonesWork['bands']>;
  advise: (...args: Parameters<ZonesWork['advise']>) => Done<ZonesWork['advise']>;
  learn: (...args: Parameters<ZonesWork['learn']>) => Done<ZonesWork['learn']>;
  /** Ends whatever runs: its promises stay open for ever. */
  stop: () => void;
}

/** Start a worker; where there are none, the same work is done in place. */
export function startZones(): ZonesWorker {
  if (typeof Worker === 'undefined') return inPlace();
  const worker = new Worker(new URL('./zones.worker.ts', window.location.href));
  const remote = wrap<ZonesWork>(worker);
  return {
    play: (feeding) => remote.play(feeding),
    bands: (feeding, runs, seed, onRun) => remote.bands(feeding, runs, seed, proxy(onRun)),
    advise: (feeding, groupId, moments, onRun) =>
      remote.advise(feeding, groupId, moments, proxy(onRun)),
    learn: (sightings, looks, onRun) => remote.learn(sightings, looks, proxy(onRun)),
    stop: () => worker.terminate(),
  };
}

function inPlace(): ZonesWorker {
  let stopped = false;
  const later = <T>(work: () => T) =>
    new Promise<T>((resolve) => {
      setTimeout(() => {
        if (!stopped) resolve(work());
      });
    });
  return {
    play: (feeding) => later(() => zonesWork.play(feeding)),
    bands: (...args) => later(() => zonesWork.bands(...args)),
    advise: (...args) => later(() => zonesWork.advise(...args)),
    learn: (...args) => later(() => zonesWork.learn(...args)),
    stop: () => {
      stopped = true;
    },
  };
}
