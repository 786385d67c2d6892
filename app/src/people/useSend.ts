import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import { fieldErrorsOf, type FieldErrors } from '../ui';

type Outcome<T> = { data: T; error?: undefined } | { data?: undefined; error: unknown };

/**
 * Send a short form, and show what is wrong: beside the field that it is about, or above the button.
 * @returns null where it was refused
 */
export function useSend() {
  const [problem, setProblem] = useState<Problem | null>(null);
  const errors: FieldErrors = problem ? fieldErrorsOf(problem) : {};
  const send = async <T>(sent: PromiseLike<Outcome<T>>): Promise<T | null> => {
    const outcome = await sent;
    setProblem(outcome.error === undefined ? null : (outcome.error as Problem));
    return outcome.error === undefined ? (outcome.data as T) : null;
  };
  return {
    send,
    /** By the name of the field, also within what it is sent in. */
    errorAt: (name: string) => errors[name] ?? errors[`person.${name}`],
    problem: problem && Object.keys(errors).length === 0 ? problem : null,
    clear: () => setProblem(null),
  };
}
