import { useWindowDimensions } from 'react-native';
import { SIZES } from './tokens';

/** True where there is room for a rail and two panes. */
export function useWide(): boolean {
  return useWindowDimensions().width >= SIZES.wide;
}
