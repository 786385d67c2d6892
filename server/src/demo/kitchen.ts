import {
  productChanges,
  type FoodFields,
  type FoodRow,
  type RecipeFields,
} from '@open-larder/contract';
import { batchOf } from '@open-larder/core';
import type { Chance } from './chance';
import { GREEN_GEL } from './scenario';

interface OnShelf {
  key: string;
  food: FoodRow;
  lot: { id: string; remainingG: number };
}

/** The demo's recipe, the batch of it that was made on the first day, and what that took. */
export function makeKitchen(
  shelf: readonly OnShelf[],
  { chance, now }: { chance: Chance; now: Date },
  first: string,
) {
  const of = (key: string) => shelf.find((one) => one.key === key) as OnShelf;
  const { product, ingredients, ...written } = GREEN_GEL;
  const recipe: RecipeFields = {
    ...written,
    ingredients: ingredients.map(({ food, ...one }) => ({
      ...one,
      foodId: food === null ? null : of(food).food.id,
    })),
  };
  const gel = of(product);
  const id = chance.id(now);
  const batchId = chance.id(now);
  const massG = gel.lot.remainingG;
  const shares = ingredients.map((one) => one.share);
  const { amountsG } = batchOf(shares, recipe, recipe.tray, massG);
  const mixed = ingredients.flatMap(({ food }, at) => {
    if (food === null) return [];
    const { lot } = of(food);
    lot.remainingG -= amountsG[at] as number;
    return [stockEvent(chance.id(now), lot.id, 'mixed', -(amountsG[at] as number))];
  });
  const { ingredients: _, ...row } = recipe;
  return {
    /** What the recipe says of the food that it makes. */
    gelId: gel.food.id,
    gelFields: productChanges(
      recipe,
      gel.food,
      new Map(shelf.map(({ food }) => [food.id, food])),
    ) satisfies Partial<FoodFields>,
    recipeRow: { ...row, id, foodId: gel.food.id, version: 1, archived: false },
    ingredientRows: recipe.ingredients.map((one, position) => ({
      ...one,
      recipeId: id,
      version: 1,
      position,
    })),
    batchRow: { id: batchId, recipeId: id, recipeVersion: 1, lotId: gel.lot.id, day: first, massG },
    events: [...mixed, stockEvent(chance.id(now), gel.lot.id, 'made', massG)],
  };

  function stockEvent(eventId: string, lotId: string, kind: string, deltaG: number) {
    return { id: eventId, lotId, kind, deltaG, day: first, batchId };
  }
}
