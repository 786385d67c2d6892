/** How full a belly looks, from the side: sunken, flat, well filled, round, bloated. */
export const BELLIES = [1, 2, 3, 4, 5] as const;
export type Belly = (typeof BELLIES)[number];

export const BELLY_WORDS: Record<Belly, string> = {
  1: 'sunken',
  2: 'flat',
  3: 'well filled',
  4: 'round',
  5: 'bloated',
};

/** A look is taken for how the group is for so many days; then it has to be looked at again. Assumption. */
export const BELLY_HOLDS_DAYS = 14;
/** A group that was not as it should be is asked about again after so many days. Assumption. */
export const LOOK_AGAIN_DAYS = 3;

/**
 * How much more a group needs by how its bellies look. A sunken belly has reserves to make up; a
 * round one is the keeper's to judge, and a bloated one may be ill: less is proposed, never taken.
 * Assumptions, within the fifteen per cent that a correction may be.
 */
const FACTOR: Record<Belly, number> = { 1: 1.15, 2: 1.08, 3: 1, 4: 1, 5: 1 };

export const bellyFactor = (belly: Belly | null | undefined): number =>
  belly === null || belly === undefined ? 1 : FACTOR[belly];
