import { useEffect, useRef, useState } from 'react';
import { startZones, type ZonesWorker } from '../workers/zones';

export interface Work<T> {
  /** What came of it; null before and while it runs. */
  result: T | null;
  running: { done: number; of: number } | null;
  fault: string | null;
  run: (
    work: (zones: ZonesWorker, onRun: (done: number, of: number) => void) => Promise<T>,
  ) => void;
  /** Cancel what runs, and forget what came of it. */
  forget: () => void;
}

/**
 * One piece of work in a worker at a time, with progress and a way to stop it.
 * @param about what the work is about: another one ends and forgets it
 */
export function useWork<T>(about: unknown): Work<T> {
  const [state, setState] = useState<Pick<Work<T>, 'result' | 'running' | 'fault'>>(IDLE);
  const worker = useRef<ZonesWorker | null>(null);
  const forget = () => {
    worker.current?.stop();
    worker.current = null;
    setState(IDLE);
  };
  useEffect(() => forget, [about]);
  const run: Work<T>['run'] = (work) => {
    forget();
    const zones = startZones();
    worker.current = zones;
    setState({ ...IDLE, running: { done: 0, of: 0 } });
    // What was stopped has nothing more to say.
    const tell = (news: Partial<typeof state>) => {
      if (worker.current === zones) setState((before) => ({ ...before, ...news }));
    };
    work(zones, (done, of) => tell({ running: { done, of } }))
      .then((result) => tell({ result }))
      .catch((error: Error) => tell({ fault: error.message }))
      .finally(() => {
        tell({ running: null });
        zones.stop();
      });
  };
  return { ...state, run, forget };
}

const IDLE = { result: null, running: null, fault: null };
