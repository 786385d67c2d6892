import { useEffect } from 'react';
import { useAppSelector } from '../store';

interface Lock {
  release: () => Promise<void>;
}
type WithLock = { wakeLock?: { request: (kind: 'screen') => Promise<Lock> } };

/** Keep the screen on while this is shown, where it was chosen so and the device can. */
export function useAwake(): void {
  const awake = useAppSelector((state) => state.display.awake);
  useEffect(() => {
    const { wakeLock } = (globalThis.navigator ?? {}) as WithLock;
    if (!awake || !wakeLock || typeof document === 'undefined') return undefined;
    let left = false;
    let lock: Lock | null = null;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      wakeLock.request('screen').then(
        (taken) => {
          lock = taken;
          if (left) void taken.release();
        },
        // A low battery refuses: the screen goes off as usual.
        () => undefined,
      );
    };
    take();
    // A page that was hidden has lost its lock.
    document.addEventListener('visibilitychange', take);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [awake]);
}
