import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { api } from './api';
import { displayReducer } from './display';
import { draftsReducer } from '../week/slice';
import { presentReducer } from './present';
import { toastReducer } from './toast';
import { onSignedOut, onUnreadable } from './call';
import { listRead, unreadableReducer } from './unreadable';

export function makeStore() {
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      display: displayReducer,
      planDrafts: draftsReducer,
      present: presentReducer,
      toast: toastReducer,
      unreadable: unreadableReducer,
    },
    middleware: (standard) => standard().concat(api.middleware),
  });
  setupListeners(store.dispatch);
  // Asked once more who this is: the shell then shows the way in.
  onSignedOut(() => store.dispatch(api.util.invalidateTags(['me'])));
  onUnreadable((name, rows) => store.dispatch(listRead({ name, rows })));
  return store;
}

export type Store = ReturnType<typeof makeStore>;
export type RootState = ReturnType<Store['getState']>;
