import { lazy, Suspense, type ComponentType } from 'react';
import { Skeleton } from '../ui';

type Forms = typeof import('./index');

/** A form as a component that loads when it is first shown. */
export function late<P extends object>(pick: (forms: Forms) => ComponentType<P>) {
  const Late = lazy(async () => ({ default: pick(await import('./index')) }));
  return function LateForm(props: P) {
    return (
      <Suspense fallback={<Skeleton rows={4} height={56} />}>
        <Late {...props} />
      </Suspense>
    );
  };
}
