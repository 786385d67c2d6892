/** Words of a brood that cross a wire: on their own, so that a form need not load the rest. */

/** What may happen to a brood. */
export const BROOD_EVENTS = [
  'conditioned',
  'paired',
  'spawned',
  'eggsSeen',
  'parentsMoved',
  'attached',
  'hatched',
  'swimming',
  'firstFood',
  'took',
  'counted',
  'measured',
  'moved',
  'sorted',
  'joined',
  'lost',
  'rehomed',
  'changed',
  'lifted',
  'placed',
  'removed',
  'warmth',
  'treated',
  'eggsBad',
  'kickedOut',
  'eggsEaten',
  'swallowed',
  'ended',
] as const;
export type BroodEventKind = (typeof BROOD_EVENTS)[number];

/** Food that is there all day, and is not dealt by the meal: put in, topped up, replaced, taken out. */
export const STANDING_FOODS = ['skin', 'film', 'vegetables'] as const;
export type StandingFood = (typeof STANDING_FOODS)[number];

/** Where the young grow up. */
export const RAISINGS = ['with', 'apart'] as const;
/** What they are given first: the smallest that fits, straight to brine shrimp, powder, or the film of a grown tank. */
export const FIRST_FOODS = ['smallest', 'shrimp', 'powder', 'film'] as const;
/** Eggs left where they are, taken to a tub, or of a mouth-brooder: released by her, or stripped. */
export const EGG_CARES = ['left', 'moved', 'released', 'stripped', 'stored'] as const;
/** What the first tub is filled with. */
export const FIRST_WATERS = ['parents', 'grown'] as const;

export type Raising = (typeof RAISINGS)[number];
export type FirstFood = (typeof FIRST_FOODS)[number];
export type EggCare = (typeof EGG_CARES)[number];
export type FirstWater = (typeof FIRST_WATERS)[number];

/** What there may be to do for a brood. */
export const BROOD_WORKS = [
  'live',
  'lastMeal',
  'together',
  'treated',
  'treatAgain',
  'parents',
  'fast',
  'recover',
  'eggs',
  'inspect',
  'tumble',
  'wet',
  'expect',
  'yolk',
  'firstFood',
  'standing',
  'feed',
  'change',
  'start',
  'count',
  'sort',
  'moveUp',
  'apart',
  'home',
  'group',
  'beside',
] as const;
export type BroodWorkKind = (typeof BROOD_WORKS)[number];
