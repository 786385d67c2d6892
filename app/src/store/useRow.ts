import { useAppSelector } from './hooks';

/** How a row is laid that ends in what is tapped: on the side of the thumb that taps. */
export const useRow = (): { flexDirection: 'row' | 'row-reverse' } =>
  useAppSelector((state) => (state.display.thumb === 'left' ? LEFT : RIGHT));

const LEFT = { flexDirection: 'row-reverse' } as const;
const RIGHT = { flexDirection: 'row' } as const;
