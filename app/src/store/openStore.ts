import { readAhead } from './readAhead';
import { makeStore, type Store } from './store';

let store: Store | null = null;

/** The store of this page. What every place shows is asked for as it is made. */
export function openStore(): Store {
  if (!store) {
    store = makeStore();
    readAhead(store);
  }
  return store;
}
