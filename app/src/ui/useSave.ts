import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form';
import { useToast } from './Toast';

/** Someone saved in between: their version, and the two ways on. */
export interface Stale {
  problem: Problem;
  /** What is typed here shall go over theirs: the form takes their version for the next sending. */
  keepMine: () => void;
  /** The form has taken theirs, or is closed. */
  clear: () => void;
}

type Outcome<T> = { data: T; error?: undefined } | { data?: undefined; error: unknown };

/**
 * Send a form and say how it went: faults are shown beside their fields, a stale edit is kept
 * for the keeper to compare, everything else is said in a line. What was typed is never lost.
 */
export function useSave<V extends FieldValues>(form: UseFormReturn<V>) {
  const toast = useToast();
  const [problem, setProblem] = useState<Problem | null>(null);
  const clear = () => setProblem(null);
  const save = async <T>(send: () => PromiseLike<Outcome<T>>): Promise<T | null> => {
    const outcome = await send();
    if (outcome.error === undefined) {
      clear();
      return outcome.data as T;
    }
    const refusal = outcome.error as Problem;
    if (refusal.type === 'urn:open-larder:stale') {
      setProblem(refusal);
      return null;
    }
    for (const { path, message } of refusal.errors ?? []) {
      form.setError(path as Path<V>, { message });
    }
    toast(refusal.detail, { tone: 'error' });
    return null;
  };
  const keepMine = () => {
    const theirs = problem?.theirs as { version: number } | null | undefined;
    form.setValue('version' as Path<V>, (theirs?.version ?? 0) as PathValue<V, Path<V>>);
    clear();
  };
  const stale: Stale | null = problem && { problem, keepMine, clear };
  return { save, stale };
}
