import { createContext, useContext, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { useAppSelector } from '../store/hooks';
import { COLOURS, type Colours, type ThemeName } from './tokens';

const ThemeContext = createContext<ThemeName>('lit');

export function ThemeProvider({ children }: { children: ReactNode }) {
  const theme = useAppSelector((state) => state.display.theme);
  return <ThemeContext.Provider value={theme}>{children}</ThemeContext.Provider>;
}

export const useThemeName = (): ThemeName => useContext(ThemeContext);

export const useColours = (): Colours => COLOURS[useThemeName()];

type Sheet = StyleSheet.NamedStyles<Record<string, object>>;

/** Styles that follow the theme: `const useStyles = themed((c) => ({ … }))`, made once a theme. */
export function themed<S extends Sheet>(make: (colours: Colours) => S & StyleSheet.NamedStyles<S>) {
  const made = new Map<ThemeName, S>();
  return function useStyles(): S {
    const name = useThemeName();
    let styles = made.get(name);
    if (!styles) {
      styles = StyleSheet.create<S>(make(COLOURS[name]));
      made.set(name, styles);
    }
    return styles;
  };
}
