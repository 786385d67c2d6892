/**
 * What a miss weighs. Assumptions: a hungry group first, then what makes it ill, then what wears it
 * down, then money, waste and work. Energy counts as shares of a day's need, means over the cycle.
 */
export const WEIGHTS = {
  under: 12,
  over: 8,
  fast: 6,
  plant: 8,
  protein: 25,
  fibre: 10,
  /** A serving too many in a cycle. */
  capped: 0.5,
  /** A food too few in a cycle. */
  variety: 1.5,
  dominant: 6,
  meals: 1.5,
  emptyFry: 5,
  /** All that would pass its date in the cycle. */
  expiring: 0.5,
  /** The cost of a day, against what it costs at the mean price. */
  cost: 0.4,
  waste: 1.5,
  /** A minute too many at a moment. */
  workMin: 0.15,
  /** A serving that the plan does not have is a line to learn; one that it has costs next to nothing. */
  serving: 0.25,
  kept: 0.22,
};

/** Different foods that a hand puts in at one moment, and servings of one group. Assumptions. */
export const FOODS_A_SLOT = 4;
export const SERVINGS_A_GROUP = 2;
/** The model aims a little inside the band: what is simulated afterwards differs a little. */
export const INSIDE = 0.03;
/** A meal may pass the largest by so much: a gut empties while it is eaten. */
export const MEAL_ROOM = 1.1;
