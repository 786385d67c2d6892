import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { useSay } from './Toast';

type Outcome<T> = { data: T; error?: undefined } | { data?: undefined; error: unknown };

/**
 * Send a form and say how it went: faults stand beside their fields, a stale edit is kept
 * for the keeper to compare, everything else is said in a line. What was typed is never lost.
 */
export function useSave<V extends FieldValues>(form: UseFormReturn<V>) {
  const say = useSay();
  const [stale, setStale] = useState<Problem | null>(null);
  const save = async <T>(send: () => PromiseLike<Outcome<T>>): Promise<T | null> => {
    const outcome = await send();
    if (outcome.error === undefined) {
      setStale(null);
      return outcome.data as T;
    }
    const problem = outcome.error as Problem;
    if (problem.type === 'urn:open-larder:stale') {
      setStale(problem);
      return null;
    }
    for (const { path, message } of problem.errors ?? []) {
      form.setError(path as Path<V>, { message });
    }
    say(problem.detail, { tone: 'fault' });
    return null;
  };
  return { save, stale, clearStale: () => setStale(null) };
}
