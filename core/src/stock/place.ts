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

/** What keeps for less than this is fresh: the freezer makes more of it, days. Assumption. */
const FRESH_DAYS = 30;
/** Blanched vegetables, gels and mixes in a freezer, days. Practice: six months at -18 °C. */
const FREEZER_DAYS = 180;

/** Days that a food keeps where it stands: what is fresh keeps far longer in the freezer. */
export const keptDays = (place: Place | undefined, days: number | null): number | null =>
  place === 'freezer' && days !== null && days < FRESH_DAYS ? FREEZER_DAYS : days;

/** Where a kind of food usually stands. */
export const usualPlace = (kind: FoodKind): Place => USUAL[kind];
