import { lazy, Suspense, useState, type ComponentType } from 'react';
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
  let again: () => void = () => undefined;
  // What may be nothing is nothing then: the rest of the screen says what has not loaded.
  const Failed: ComponentType<P> = () => (quiet ? null : <NotLoaded onRetry={() => again()} />);
  const start = () =>
    lazy(async () => {
      for (const wait of [...RETRY_MS, null]) {
        try {
          return { default: await load() };
        } catch {
          await reloadIfNew();
          if (wait !== null) await new Promise((resolve) => setTimeout(resolve, wait));
        }
      }
      return { default: Failed };
    });
  let Loaded = start();
  return function Later(props: P) {
    // Chosen once: another component in its place would forget what is on the screen. What is there
    // already never waits: React holds what had to wait back for a third of a second.
    const [Part, setPart] = useState<ComponentType<P>>(() => there() ?? Loaded);
    again = () => {
      Loaded = start();
      setPart(() => Loaded);
    };
    return (
      <Suspense fallback={quiet ? null : <Skeleton rows={4} height={56} />}>
        <Part {...props} />
      </Suspense>
    );
  };
}
