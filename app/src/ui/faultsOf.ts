import type { Problem } from '@open-larder/contract';

export type FieldErrors = Readonly<Record<string, string>>;

/** What the server found wrong, by field. */
export const fieldErrorsOf = (problem: Problem): FieldErrors =>
  Object.fromEntries((problem.errors ?? []).map(({ path, message }) => [path, message]));
