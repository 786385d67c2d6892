/**
 * Whether a mix would contain itself: by one of its ingredients, or by an ingredient of theirs.
 * @param product the food that the recipe makes
 * @param ingredients foods that go into it
 * @param recipes what goes into each food that another recipe makes
 * @returns the way round, from the product to itself; null where there is none
 */
export function circleOf(
  product: string,
  ingredients: readonly string[],
  recipes: ReadonlyMap<string, readonly string[]>,
): string[] | null {
  const seen = new Set<string>();
  const follow = (strategy: string[], next: readonly string[]): string[] | null => {
    for (const food of next) {
      if (food === product) return [...strategy, food];
      if (seen.has(food)) continue;
      seen.add(food);
      const found = follow([...strategy, food], recipes.get(food) ?? []);
      if (found) return found;
    }
    return null;
  };
  return follow([product], ingredients);
}
