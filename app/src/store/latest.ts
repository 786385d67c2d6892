interface Query<T> {
  data?: T | undefined;
  currentData?: T | undefined;
  error?: unknown;
  refetch: () => unknown;
}

/**
 * A reading whose question changes: while the new one is on its way the answer to the last is shown.
 * Where it fails, the last is not passed off as its answer.
 */
export const latest = <T>({ data, currentData, error, refetch }: Query<T>) => ({
  data: error ? currentData : data,
  error,
  refetch,
});
