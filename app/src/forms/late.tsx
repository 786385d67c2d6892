import type { ComponentType } from 'react';
import { later } from '../ui';

type Forms = typeof import('./index');

/** A form as a component that loads when it is first shown. */
export function late<P extends object>(pick: (forms: Forms) => ComponentType<P>) {
  return later(async () => pick(await import('./index')));
}
