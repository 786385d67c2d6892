import { useEffect, useRef, useState } from 'react';

/** What can be ended: a worker, or the same work in place. */
interface Stoppable {
  stop: () => void;
}

export interface Work<T, W extends Stoppable> {
  /** What came of it; null before and while it runs. */
  result: T | null;
  running: { done: number; of: number } | null;
  fault: string | null;
  run: (work: (worker: W, onRun: (done: number, of: number) => void) => Promise<T>) => void;
  /** Cancel what runs, and forget what came of it. */
  forget: () => void;
}

/**
 * One piece of work in a worker at a time, with progress and a way to stop it.
 * @param about what the work is about: another one ends and forgets it
 * @param start starts a worker
 */
export function useWork<T, W extends Stoppable>(about: unknown, start: () => W): Work<T, W> {
  const [kept, setState] = useState<News<T, W> & { about: unknown }>({ ...IDLE, about });
  const worker = useRef<W | null>(null);
  const forget = () => {
    worker.current?.stop();
    worker.current = null;
    // Where there is nothing to forget nothing is drawn: else what is new at each drawing never ends.
    setState((before) => (isIdle(before) ? before : { ...before, ...IDLE }));
  };
  useEffect(() => forget, [about]);
  const run: Work<T, W>['run'] = (work) => {
    forget();
    const started = start();
    worker.current = started;
    setState({ ...IDLE, running: { done: 0, of: 0 }, about });
    // What was stopped has nothing more to say.
    const report = (news: Partial<News<T, W>>) => {
      if (worker.current === started) setState((before) => ({ ...before, ...news }));
    };
    // The last word on how far it is may come after the result: it has another channel.
    let over = false;
    work(started, (done, of) => {
      if (!over) report({ running: { done, of } });
    })
      .then((result) => report({ result }))
      .catch((error: Error) => report({ fault: error.message }))
      .finally(() => {
        over = true;
        report({ running: null });
        started.stop();
      });
  };
  // What came of other work is not drawn once more before it is forgotten: drawing it may be slow.
  const { about: of, ...state } = kept;
  return { ...(of === about ? state : IDLE), run, forget };
}

type News<T, W extends Stoppable> = Pick<Work<T, W>, 'result' | 'running' | 'fault'>;

const IDLE = { result: null, running: null, fault: null };
const isIdle = ({ result, running, fault }: News<unknown, Stoppable>): boolean =>
  result === null && running === null && fault === null;
