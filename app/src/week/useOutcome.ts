import { estimated, type GotByDay, type Judged, type WeekTask } from '@open-larder/core/week';
import { useEffect, useMemo, useRef, useState } from 'react';
import { startWeek, type WeekWorker } from '../workers/week';

export interface Outcome {
  /** What each group gets, day by day: simulated, or estimated until it is. */
  got: GotByDay | null;
  /** The simulated plan; null until the first one is. Older than the edit while `running`. */
  judged: Judged | null;
  running: boolean;
  fieldError: string | null;
}

/** A thumb that is still moving should not start a simulation with every step. */
const SETTLES_MS = 150;

/** What a plan comes to: estimated at once with every edit, simulated in a worker right after. */
export function useOutcome(task: WeekTask): Outcome {
  const worker = useRef<WeekWorker | null>(null);
  const [state, setState] = useState<{
    judged: Judged | null;
    of: WeekTask | null;
    fieldError: string | null;
  }>({ judged: null, of: null, fieldError: null });
  useEffect(() => {
    worker.current = startWeek();
    return () => {
      worker.current?.stop();
      worker.current = null;
    };
  }, []);
  useEffect(() => {
    let left = false;
    const timer = setTimeout(() => {
      worker.current
        ?.judge(task)
        .then((judged) => {
          if (!left) setState({ judged, of: task, fieldError: null });
        })
        .catch((error: Error) => {
          if (!left) setState((before) => ({ ...before, of: task, fieldError: error.message }));
        });
    }, SETTLES_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [task]);
  const { judged, of, fieldError } = state;
  const fits = judged !== null && of !== null && comparable(of, task);
  const got = useMemo(() => {
    if (!fits || judged === null) return null;
    return of === task ? judged.outcome.days : estimated(task, judged.outcome);
  }, [fits, judged, of, task]);
  return {
    got,
    judged: fits ? judged : null,
    running: of !== task && fieldError === null,
    fieldError,
  };
}

/** Whether what was simulated of one task says something of another: same tank, groups and foods. */
const comparable = (one: WeekTask, other: WeekTask) => ids(one) === ids(other);
const ids = (task: WeekTask) =>
  JSON.stringify([
    task.house.tanks.map(({ id }) => id),
    task.groups.map(({ id }) => id),
    task.foods.map(({ id }) => id),
  ]);
