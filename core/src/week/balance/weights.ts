/**
 * What a miss weighs. Assumptions: a hungry group first, then what makes it ill, then what wears it
 * down, then money, waste and work. Energy counts as shares of a day's need, means over the cycle.
 */
export const WEIGHTS = {
  under: 12,
  over: 8,
  fast: 6,
  plant: 6,
  protein: 10,
  fibre: 6,
  /** A serving too many in a cycle. */
  capped: 0.5,
  /** A food too few in a cycle. */
  variety: 0.6,
  dominant: 3,
  meals: 1.5,
  emptyFry: 5,
  /** All that would pass its date in the cycle. */
  expiring: 0.5,
  /** The cost of a day, against what it costs at the mean price. */
  cost: 0.4,
  waste: 1.5,
  /** A minute too many at a moment. */
  workMin: 0.15,
  /** Every serving is a line to read and a hand to move. */
  serving: 0.08,
  /** What the plan has already is kept where nothing speaks against it. */
  kept: 0.03,
};

/** Different foods that a hand puts in at one moment, and servings of one group. Assumptions. */
export const FOODS_A_SLOT = 4;
export const SERVINGS_A_GROUP = 2;
/** The model aims a little inside the band: what is simulated afterwards differs a little. */
export const INSIDE = 0.03;
/** A meal may pass the largest by so much: a gut empties while it is eaten. */
export const MEAL_ROOM = 1.1;
