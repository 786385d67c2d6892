import type { Problem } from '@open-larder/contract';
import { useEffect, useRef, useState } from 'react';
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
  const sent = useRef(false);
  const { submitCount, errors } = form.formState;
  useEffect(() => {
    const refused = submitCount > 0 && !sent.current && Object.keys(errors).length > 0;
    sent.current = false;
    if (!refused) return;
    const message = firstMessage(errors) ?? 'check what you entered';
    // Out of sight, above or folded away, nothing would seem to happen.
    if (!scrollToAlert(message)) toast(`Not saved yet: ${message}.`, { tone: 'error' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each time that it was sent
  }, [submitCount]);
  const save = async <T>(send: () => PromiseLike<Outcome<T>>): Promise<T | null> => {
    sent.current = true;
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

/** What is wrong with the first field, however deep it is. */
function firstMessage(errors: object): string | undefined {
  for (const [name, error] of Object.entries(errors)) {
    if (name === 'ref' || typeof error !== 'object' || error === null) continue;
    const { message } = error as { message?: unknown };
    const found = typeof message === 'string' && message ? message : firstMessage(error);
    if (found) return found;
  }
  return undefined;
}

/** Bring what is wrong into sight. @returns false where it is nowhere on the screen */
function scrollToAlert(message: string): boolean {
  const said = message.toLowerCase();
  const alerts = globalThis.document?.querySelectorAll?.('[role="alert"]') ?? [];
  const found = [...alerts].find(({ textContent }) => textContent?.toLowerCase() === said);
  found?.scrollIntoView({ block: 'center' });
  return found !== undefined;
}
