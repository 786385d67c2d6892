type Result<T> = { data?: T; error?: unknown };
const READ = { selectFromResult: ({ data, error }: Result<unknown>) => ({ data, error }) };

/**
 * What a screen follows of a query that reads a `T`: what was read and what went wrong, not how far
 * another reading is, for which it would be drawn anew.
 */
export const reading = <T>() =>
  READ as { selectFromResult: (state: Result<T>) => Pick<Result<T>, 'data' | 'error'> };
