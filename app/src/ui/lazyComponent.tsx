import { useEffect, useState, type ComponentType } from 'react';
import { NotLoaded } from './Boundary';
import { reloadIfNew } from './newBuild';
import { Skeleton } from './states';

/** A script that was lost on the way is fetched again after these waits, ms. */
const RETRY_MS = [500, 2000];

interface Options<P> {
  /** What comes may be nothing: no place is kept for it. */
  quiet: boolean;
  /** The component, where its script is there already. */
  there: () => ComponentType<P> | null;
}

/**
 * A component that is loaded when it is first shown, and not with the first screen. Where it does not
 * load it is tried again by itself, then says so in its place, and can be tried again; where a newer
 * build was put in place of the one that is open, the page is loaded anew.
 */
export function lazyComponent<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { quiet, there }: Options<P>,
) {
  return function Later(props: P) {
    // Chosen once: another component in its place would forget what is on the screen.
    const [Part, setPart] = useState<ComponentType<P> | null>(there);
    const [lost, setLost] = useState(false);
    const asked = Part === null && !lost;
    // Asked for once the rest of the screen is drawn, not while: it would be loaded, and drawn, before that.
    useEffect(() => {
      if (!asked) return;
      let open = true;
      void insistently(load).then((part) => {
        if (!open) return;
        if (part) setPart(() => part);
        else setLost(true);
      });
      return () => {
        open = false;
      };
    }, [asked]);
    if (Part) return <Part {...props} />;
    // What may be nothing is nothing then: the rest of the screen says what has not loaded.
    if (quiet) return null;
    return lost ? <NotLoaded onRetry={() => setLost(false)} /> : <Skeleton rows={4} height={56} />;
  };
}

/** @returns null where it does not load, tried several times */
async function insistently<P>(
  load: () => Promise<ComponentType<P>>,
): Promise<ComponentType<P> | null> {
  for (const wait of [...RETRY_MS, null]) {
    try {
      return await load();
    } catch {
      await reloadIfNew();
      if (wait !== null) await new Promise((resolve) => setTimeout(resolve, wait));
    }
  }
  return null;
}
