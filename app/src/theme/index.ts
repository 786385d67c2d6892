export { COLOURS, FONTS, SIZES, type Colours, type ThemeName } from './tokens';
export { themed, ThemeProvider, useColours, useThemeName } from './ThemeProvider';
export { useWide } from './useWide';
export { FONT_FILES } from './fonts';
