/** What is known of a group and its foods, beyond its kind. */
export interface SeenFoods {
  /** How readily it takes a food, 0..1, by its id, in the keeper's own words. */
  taken?: Readonly<Record<string, number>>;
  /** Foods that it was seen to eat, by their ids. */
  eats?: readonly string[];
}

/** From here on the keeper's own word of a food says that it was seen eaten. */
const SAID_EATEN = 0.5;
/** What was seen eaten is taken at least so readily. Assumption. */
const EATEN = 0.75;

/** Whether the group was seen to eat a food: then it fits its mouth, whatever its size says. */
export const wasEaten = ({ taken, eats }: SeenFoods, foodId: string): boolean =>
  eats?.includes(foodId) === true || (taken?.[foodId] ?? 0) >= SAID_EATEN;

/**
 * How readily a group takes a food: the keeper's word, else what was seen, else its kind.
 * @param expected readiness of its kind, 0..1
 */
export const readiness = ({ taken, eats }: SeenFoods, foodId: string, expected: number): number =>
  taken?.[foodId] ?? (eats?.includes(foodId) ? Math.max(expected, EATEN) : expected);
