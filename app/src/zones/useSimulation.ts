import type { Bands, Feeding, Played } from '@open-larder/core/zones';
import { useEffect, useRef, useState } from 'react';
import { startZones, type ZonesWorker } from '../workers/zones';

export interface Simulation {
  /** Undefined while it runs. */
  played?: Played;
  bands?: Bands;
  /** Share of the runs over uncertain traits that are done. */
  progress: number;
  /** What went wrong, in words. */
  fieldError?: string;
  /** The runs were stopped before the band was known. */
  stopped?: boolean;
}

/** Runs over uncertain traits, and their seed: the same feeding gives the same band. */
const RUNS = 200;
const SEED = 1;

/** Simulate a feeding in a worker: first as it is likely, then its band. A new feeding ends the old. */
export function useSimulation(feeding: Feeding | null): Simulation & { stop: () => void } {
  const worker = useRef<ZonesWorker | null>(null);
  const [simulation, setSimulation] = useState<Simulation>({ progress: 0 });
  const [before, setBefore] = useState(feeding);
  if (before !== feeding) {
    setBefore(feeding);
    setSimulation({ progress: 0 });
  }
  useEffect(() => {
    if (feeding === null) return undefined;
    const zones = startZones();
    worker.current = zones;
    let left = false;
    const report = (news: Partial<Simulation>) => {
      if (!left) setSimulation((before) => ({ ...before, ...news }));
    };
    const work = async () => {
      report({ played: await zones.play(feeding) });
      const bands = await zones.bands(feeding, RUNS, SEED, (done) => {
        if (done % 10 === 0) report({ progress: done / RUNS });
      });
      report({ bands, progress: 1 });
    };
    work()
      .catch((error: Error) => report({ fieldError: error.message }))
      .finally(() => zones.stop());
    return () => {
      left = true;
      zones.stop();
    };
  }, [feeding]);
  const stop = () => {
    worker.current?.stop();
    setSimulation((before) => ({ ...before, stopped: true }));
  };
  return { ...simulation, stop };
}
