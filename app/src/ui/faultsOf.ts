import type { Problem } from '@open-larder/contract';

export type Faults = Readonly<Record<string, string>>;

/** What the server found wrong, by field. */
export const faultsOf = (problem: Problem): Faults =>
  Object.fromEntries((problem.errors ?? []).map(({ path, message }) => [path, message]));
