/** The page is being left: what breaks off then was not refused, it is only not heard any more. */
let leaving = false;
/** A page that was asked whether it may be left, and stayed, goes on. */
const STAYED_MS = 5000;

if (typeof window !== 'undefined' && typeof window.addEventListener === 'function') {
  window.addEventListener('beforeunload', () => {
    leaving = true;
    setTimeout(() => (leaving = false), STAYED_MS);
  });
  window.addEventListener('pagehide', () => (leaving = true));
  window.addEventListener('pageshow', () => (leaving = false));
}

export const isLeaving = (): boolean => leaving;
