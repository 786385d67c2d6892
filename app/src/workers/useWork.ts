import { useEffect, useRef, useState } from 'react';

/** What can be ended: a worker, or the same work in place. */
interface Stoppable {
  stop: () => void;
}

/** @param about what the work is about now, which may be newer than when it was asked for */
type Doing<T, W, A> = (
  worker: W,
  about: A,
  onRun: (done: number, of: number) => void,
) => Promise<T>;

export interface Work<T, W extends Stoppable, A> {
  /** What came of it; null before and while it runs. */
  result: T | null;
  running: { done: number; of: number } | null;
  fault: string | null;
  run: (work: Doing<T, W, A>) => void;
  /** Cancel what runs, and forget what came of it. */
  forget: () => void;
}

/** So often what runs is begun again for what is newer; what is new at each drawing would never end. */
const AGAIN = 3;

/**
 * One piece of work in a worker at a time, with progress and a way to stop it.
 * @param about what the work is about: with another, what came of it is forgotten, and what runs begins again
 * @param start starts a worker
 * @param edits whether the work changes what it is about itself: then it never begins again
 * @param keepsUp whether what is over is done again too
 */
export function useWork<T, W extends Stoppable, A>(
  about: A,
  start: () => W,
  { edits = false, keepsUp = false } = {},
): Work<T, W, A> {
  const [kept, setState] = useState<News<T, W, A> & { about: unknown }>({ ...IDLE, about });
  const worker = useRef<W | null>(null);
  const doing = useRef<Asked<T, W, A> | null>(null);
  /** What ran when there was something newer. */
  const interrupted = useRef<Asked<T, W, A> | null>(null);
  const forget = () => {
    worker.current?.stop();
    worker.current = null;
    doing.current = null;
    // Where there is nothing to forget nothing is drawn: else what is new at each drawing never ends.
    setState((before) => (isIdle(before) ? before : { ...before, ...IDLE }));
  };
  const begin = (next: Asked<T, W, A>) => {
    forget();
    const started = start();
    worker.current = started;
    doing.current = next;
    setState({ ...IDLE, running: { done: 0, of: 0 }, about });
    // What was stopped has nothing more to say.
    const report = (news: Partial<News<T, W, A>>) => {
      if (worker.current === started) setState((before) => ({ ...before, ...news }));
    };
    // The last word on how far it is may come after the result: it has another channel.
    let over = false;
    next
      .work(started, about, (done, of) => {
        if (!over) report({ running: { done, of } });
      })
      .then((result) => report({ result }))
      .catch((error: Error) => report({ fault: error.message }))
      .finally(() => {
        over = true;
        report({ running: null });
        if (worker.current === started) doing.current = keepsUp ? { ...next, again: 0 } : null;
        started.stop();
      });
  };
  useEffect(() => {
    const left = interrupted.current;
    interrupted.current = null;
    if (left && left.again < AGAIN) begin({ ...left, again: left.again + 1 });
    return () => {
      interrupted.current = edits ? null : doing.current;
      forget();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only something else to work on begins it again
  }, [about]);
  // What came of other work is not drawn once more before it is forgotten: drawing it may be slow.
  const { about: of, ...state } = kept;
  const run = (work: Doing<T, W, A>) => begin({ work, again: 0 });
  return { ...(of === about ? state : IDLE), run, forget };
}

/** @property again how often it was begun again */
type Asked<T, W, A> = { work: Doing<T, W, A>; again: number };

type News<T, W extends Stoppable, A> = Pick<Work<T, W, A>, 'result' | 'running' | 'fault'>;

const IDLE = { result: null, running: null, fault: null };
const isIdle = ({ result, running, fault }: News<unknown, Stoppable, unknown>): boolean =>
  result === null && running === null && fault === null;
