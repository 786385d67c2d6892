import { useRef, useState } from 'react';

/**
 * One act at a time: while what a tap began is under way, a further tap is the same tap.
 * @param act what it does; where that takes time, a promise of its end
 */
export function useBusy(act: () => unknown): { busy: boolean; run: () => void } {
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const run = () => {
    if (running.current) return;
    const result = act();
    if (!(result instanceof Promise)) return;
    running.current = true;
    setBusy(true);
    void result.finally(() => {
      running.current = false;
      setBusy(false);
    });
  };
  return { busy, run };
}
