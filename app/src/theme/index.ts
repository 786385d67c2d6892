export { FONTS, SIZES, type Colours } from './tokens';
export { themed, ThemeProvider, useColours, useThemeName } from './ThemeProvider';
export { useWide } from './useWide';
export { FONT_FILES } from './fonts';
