import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { useAppSelector } from '../store/hooks';
import { COLOURS, type Colours, type ThemeName } from './tokens';

interface Theme {
  name: ThemeName;
  /** Words are larger by a quarter. */
  large: boolean;
}

const ThemeContext = createContext<Theme>({ name: 'lit', large: false });

export function ThemeProvider({ children }: { children: ReactNode }) {
  const name = useAppSelector((state) => state.display.theme);
  const large = useAppSelector((state) => state.display.large);
  const theme = useMemo(() => ({ name, large }), [name, large]);
  return <ThemeContext.Provider value={theme}>{children}</ThemeContext.Provider>;
}

export const useThemeName = (): ThemeName => useContext(ThemeContext).name;

export const useColours = (): Colours => COLOURS[useThemeName()];

type Sheet = StyleSheet.NamedStyles<Record<string, object>>;

/** Styles that follow the theme: `const useStyles = themed((c) => ({ … }))`, made once a theme. */
export function themed<S extends Sheet>(make: (colours: Colours) => S & StyleSheet.NamedStyles<S>) {
  const made = new Map<string, S>();
  return function useStyles(): S {
    const { name, large } = useContext(ThemeContext);
    const key = `${name} ${large}`;
    let styles = made.get(key);
    if (!styles) {
      const plain = make(COLOURS[name]);
      styles = StyleSheet.create<S>(large ? enlarged(plain) : plain);
      made.set(key, styles);
    }
    return styles;
  };
}

const LARGER = 1.25;

/** The same styles with larger words; what is tapped grows with them. */
function enlarged<S extends Sheet>(styles: S & StyleSheet.NamedStyles<S>) {
  const larger = ([key, value]: [string, unknown]) =>
    (key === 'fontSize' || key === 'lineHeight') && typeof value === 'number'
      ? [key, value * LARGER]
      : [key, value];
  return Object.fromEntries(
    Object.entries(styles).map(([key, style]) => [
      key,
      Object.fromEntries(Object.entries(style as object).map(larger)),
    ]),
  ) as S & StyleSheet.NamedStyles<S>;
}
