import { api } from './api';
import type { Store } from './store';

const LISTS = [
  'household',
  'moments',
  'tanks',
  'groups',
  'foods',
  'catalogue',
  'species',
  'me',
] as const;

/** Ask for what every place shows, before the first of them is drawn: the answers come meanwhile. */
export function readAhead(store: Store): Store {
  for (const list of LISTS) store.dispatch(api.util.prefetch(list, undefined, {}));
  return store;
}
