import { useEffect, useState } from 'react';

/** A fish drifts from one place to the next in this time. */
const BEAT_MS = 2400;

/**
 * Beats of a picture that is alive: none where motion is not wanted, or where nothing is to move.
 * @returns undefined while it rests
 */
export function useIdleBeat(on: boolean): number | undefined {
  const [beat, setBeat] = useState(0);
  const still =
    !on || globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches !== false;
  useEffect(() => {
    if (still) return;
    const timer = setInterval(() => {
      // Nothing is drawn for a page that is not looked at.
      if (globalThis.document?.visibilityState !== 'hidden') setBeat((before) => before + 1);
    }, BEAT_MS);
    return () => clearInterval(timer);
  }, [still]);
  return still ? undefined : beat;
}
