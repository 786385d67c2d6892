import { useAppSelector } from './hooks';

/** Whose hand feeds from this device; null is nobody's in particular. */
export const useHand = (): string | null => useAppSelector((state) => state.display.hand);
