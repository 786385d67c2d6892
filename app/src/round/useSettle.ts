import { useEffect, useMemo } from 'react';
import { api, useAppDispatch } from '../store';

/** So long after the last tap the shelf and the records are read again. */
const REST_MS = 3000;

/**
 * Read again what servings made stale: not at each tap, for the lists of a house are long, but when
 * the taps have come to rest, when the screen is left, or at once.
 */
export function useSettle(): { soon: () => void; now: () => void } {
  const dispatch = useAppDispatch();
  const settle = useMemo(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    const stop = () => {
      if (timer !== null) clearTimeout(timer);
      timer = null;
    };
    const now = () => {
      stop();
      dispatch(api.util.invalidateTags(['food', 'supply', 'round', 'records']));
    };
    return {
      now,
      soon: () => {
        stop();
        timer = setTimeout(now, REST_MS);
      },
      leave: () => {
        if (timer !== null) now();
      },
    };
  }, [dispatch]);
  useEffect(() => settle.leave, [settle]);
  return settle;
}
