import { lazy, Suspense, type ComponentType } from 'react';
import { Skeleton } from './states';

/**
 * A component that is loaded when it is first shown, and not with the first screen.
 * @param quiet what comes may be nothing: no place is kept for it
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, quiet = false) {
  const Loaded = lazy(async () => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense fallback={quiet ? null : <Skeleton rows={4} height={56} />}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}
