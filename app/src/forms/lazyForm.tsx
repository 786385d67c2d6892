import type { ComponentType } from 'react';
import { lazyComponent } from '../ui';

type Forms = typeof import('./index');

/** A form as a component that loads when it is first shown. */
export function lazyForm<P extends object>(pick: (forms: Forms) => ComponentType<P>) {
  return lazyComponent(async () => pick(await import('./index')));
}
