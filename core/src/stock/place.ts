import type { FoodKind } from '@open-larder/catalogue';

/** Where food is kept. */
export const PLACES = ['cupboard', 'freezer', 'fridge', 'bench'] as const;
export type Place = (typeof PLACES)[number];

const USUAL: Record<FoodKind, Place> = {
  dry: 'cupboard',
  gel: 'fridge',
  frozen: 'freezer',
  fresh: 'fridge',
  mix: 'freezer',
  live: 'bench',
};

/** Where a kind of food usually stands. */
export const usualPlace = (kind: FoodKind): Place => USUAL[kind];
