import type { FoodFamily, FoodKind } from '@open-larder/catalogue';

/** How a new food is put with one that they take: the surest first. */
export const MIXINGS = ['stirred', 'soaked', 'dusted', 'beside'] as const;
export type Mixing = (typeof MIXINGS)[number];

/** A food as far as it can be put with another. */
export interface Mixed {
  kind: FoodKind;
  family: FoodFamily;
}

/** What melts into one cup or lies in one pinch. */
const WET: ReadonlySet<FoodKind> = new Set(['frozen', 'gel', 'mix']);
/** What holds juice that dry food soaks up. */
const JUICY: ReadonlySet<FoodKind> = new Set(['frozen', 'gel', 'mix', 'fresh']);

/**
 * How a new food can be put with a known one: dry with dry and thawed with thawed in one, dry food soaked in
 * the juice of what they take, powder on a slice or a jelly; all else beside it, at the same place and hour.
 * Practice.
 */
export function mixingOf(fresh: Mixed, known: Mixed): Mixing {
  const solid = (one: Mixed) => one.family === 'leaf';
  if (fresh.family === 'mortar' && (solid(known) || known.family === 'jelly')) return 'dusted';
  if (solid(fresh) || solid(known) || known.kind === 'live') return 'beside';
  if (fresh.kind === 'dry') {
    if (known.kind === 'dry') return 'stirred';
    return JUICY.has(known.kind) ? 'soaked' : 'beside';
  }
  return WET.has(fresh.kind) && WET.has(known.kind) ? 'stirred' : 'beside';
}
