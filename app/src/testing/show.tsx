import { cleanup, render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { closeHere } from '../offline/here';
import { api, makeStore } from '../store';
import { forgetActs } from '../store/call';
import { ThemeProvider } from '../theme';

const stores: ReturnType<typeof makeStore>[] = [];

// What was cached is kept on timers, up to a day: a test must not wait for them to end.
afterEach(() => {
  cleanup();
  for (const store of stores.splice(0)) store.dispatch(api.util.resetApiState());
  forgetActs();
  closeHere();
});

/** What the shell does for what is shown in it. */
function KeepRead() {
  api.useHouseholdQuery();
  return null;
}

/** Show a component inside the store and theme that every screen has. */
export function show(element: ReactElement) {
  const store = makeStore();
  stores.push(store);
  const shown = render(
    <Provider store={store}>
      <KeepRead />
      <ThemeProvider>{element}</ThemeProvider>
    </Provider>,
  );
  return { ...shown, store };
}
