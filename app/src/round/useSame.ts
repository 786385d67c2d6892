import { useState } from 'react';

/** The value of before, as long as the new one says the same. */
export function useSame<T>(value: T): T {
  const [before, setBefore] = useState(value);
  if (JSON.stringify(before) === JSON.stringify(value)) return before;
  setBefore(value);
  return value;
}
