import { api } from './api';
import { useAppSelector } from './hooks';

const selectMe = api.endpoints.me.select();

/** Whose hand feeds: of the person who is signed in, or as chosen on this device; null where none was. */
export const useHand = (): string | null =>
  useAppSelector((state) => selectMe(state).data?.person?.name ?? state.display.hand);
