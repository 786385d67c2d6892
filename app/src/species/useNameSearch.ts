import { useEffect, useState } from 'react';

interface Named {
  key: string;
  name: string;
  otherNames: readonly string[];
}

/**
 * The search among rows by all their names, for a picker. It is loaded when it is first wanted; until
 * then the words of the titles are searched.
 */
export function useNameSearch(
  rows: readonly Named[] | undefined,
): true | ((words: string) => string[]) {
  const [find, setFind] = useState<((words: string) => string[]) | null>(null);
  useEffect(() => {
    let wanted = true;
    if (rows) {
      void import('./searchIn').then(
        ({ nameSearch }) => wanted && setFind(() => nameSearch(rows)),
        // Without it the titles are searched still.
        () => undefined,
      );
    }
    return () => {
      wanted = false;
    };
  }, [rows]);
  return find ?? true;
}
