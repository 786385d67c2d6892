/** A page that is not in sight paints nothing: then it is not waited for. */
const UNSEEN_MS = 100;

/**
 * Do something once what is on the screen now was painted, so that a tap is answered before what
 * follows from it is worked out.
 */
export function afterPaint(work: () => void): void {
  let done = false;
  const once = () => {
    if (done) return;
    done = true;
    clearTimeout(unseen);
    work();
  };
  const unseen = setTimeout(once, UNSEEN_MS);
  requestAnimationFrame(() => setTimeout(once, 0));
}
