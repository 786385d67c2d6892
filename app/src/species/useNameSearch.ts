import { nameSearch } from '@open-larder/catalogue/search';
import { useMemo } from 'react';

/** The search among rows by all their names, for a picker; true until there are rows: by title alone. */
export const useNameSearch = (
  rows: Parameters<typeof nameSearch>[0] | undefined,
): true | ((words: string) => string[]) => useMemo(() => (rows ? nameSearch(rows) : true), [rows]);
