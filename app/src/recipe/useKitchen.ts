import { mixOf } from '@open-larder/contract/recipeMix';
import type { FoodRow, Problem, RecipeRow } from '@open-larder/contract';
import type { Mixture } from '@open-larder/core/recipe';
import { api } from '../store';

/** Recipes with the foods that go into them and come out of them. */
export function useKitchen() {
  const recipes = api.useRecipesQuery();
  const foods = api.useFoodsQuery();
  const problem = (recipes.error ?? foods.error) as Problem | undefined;
  const data =
    recipes.data && foods.data
      ? { recipes: recipes.data, foods: new Map(foods.data.map((food) => [food.id, food])) }
      : undefined;
  return {
    data,
    problem,
    retry: () => {
      void recipes.refetch();
      void foods.refetch();
    },
  };
}

type Mixed = Pick<RecipeRow, 'ingredients' | 'cooked' | 'drained'>;

/** What a recipe makes, or why it cannot be. */
export function triedMix(
  recipe: Mixed,
  foods: ReadonlyMap<string, FoodRow>,
): { mix: Mixture; fieldError: null } | { mix: null; fieldError: string } {
  try {
    return { mix: mixOf(recipe, foods), fieldError: null };
  } catch (error) {
    if (error instanceof RangeError) return { mix: null, fieldError: error.message };
    throw error;
  }
}
