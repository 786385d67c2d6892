import { lazy, Suspense, type ComponentType } from 'react';
import { Skeleton } from './states';

/** A component that is loaded when it is first shown, and not with the first screen. */
export function later<P extends object>(load: () => Promise<ComponentType<P>>) {
  const Loaded = lazy(async () => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense fallback={<Skeleton rows={4} height={56} />}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}
