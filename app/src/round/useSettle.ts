import { useEffect, useMemo } from 'react';
import { api, useAppDispatch } from '../store';

/** So long after the last tap the round is read again, and the shelf with all that hangs on it. */
const ROUND_MS = 3_000;
const SHELF_MS = 60_000;
const ROUND = ['round'] as const;
const SHELF = ['food', 'supply', 'records', 'vessel'] as const;

/**
 * Read again what servings made stale: not at each tap, for the lists of a house are long and a round
 * needs none of them, but when the taps have come to rest, when the screen is left, or at once.
 */
export function useSettle(): { soon: () => void; now: () => void } {
  const dispatch = useAppDispatch();
  const settle = useMemo(() => {
    const timers: ReturnType<typeof setTimeout>[] = [];
    const stop = () => timers.splice(0).forEach(clearTimeout);
    const now = () => {
      stop();
      dispatch(api.util.invalidateTags([...ROUND, ...SHELF]));
    };
    return {
      now,
      soon: () => {
        stop();
        timers.push(
          setTimeout(() => dispatch(api.util.invalidateTags([...ROUND])), ROUND_MS),
          setTimeout(now, SHELF_MS),
        );
      },
      leave: () => {
        if (timers.length > 0) now();
      },
    };
  }, [dispatch]);
  useEffect(() => settle.leave, [settle]);
  return settle;
}
