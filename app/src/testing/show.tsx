import { render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { makeStore } from '../store';
import { ThemeProvider } from '../theme';

/** Show a component inside the store and theme that every screen has. */
export function show(element: ReactElement) {
  const store = makeStore();
  const shown = render(
    <Provider store={store}>
      <ThemeProvider>{element}</ThemeProvider>
    </Provider>,
  );
  return { ...shown, store };
}
