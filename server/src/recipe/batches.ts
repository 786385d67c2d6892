import type { BodyOf, RecipeRow, ResponseOf } from '@open-larder/contract';
import { addDays, batchOf, drawDown, pricePerGram } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';
import { allFoods, openLots, readLot } from '../food/store';
import { conflict, idUsed, notFound } from '../http/problems';
import { BATCHES, readRecipe, refreshProduct } from './store';
import { z } from 'zod';

/** Less than this is nothing: the shelf is kept to the microgram. */
const NOTHING_G = 1e-5;

/**
 * Make a batch once: its ingredients leave the shelf, what expires first before the rest, and its
 * portions come to it as a lot. The same id sent again changes nothing.
 * @returns the recipe with the batch, and what the shelf did not have
 */
export async function makeBatch(
  scope: Scope,
  recipeId: string,
  wanted: BodyOf<'makeBatch'>,
): Promise<ResponseOf<'makeBatch'>> {
  await scope.lock(`recipe ${recipeId}`);
  const recipe = await readRecipe(scope, recipeId);
  if (!recipe) throw notFound('This recipe');
  if (recipe.batches.some((one) => one.id === wanted.id)) return { recipe, short: [] };
  const used = recipe.ingredients.flatMap(({ foodId }) => foodId ?? []);
  for (const id of [...used].sort()) await scope.lock(`food ${id}`);

  const foods = new Map((await allFoods(scope)).map((food) => [food.id, food]));
  // Labels of ingredients may have been corrected since the recipe was written.
  await refreshProduct(
    scope,
    recipe,
    recipe.foodId,
    foods,
    foods.get(recipe.foodId)?.archived ?? false,
  );
  const shares = recipe.ingredients.map((one) => one.share);
  const { amountsG } = batchOf(shares, recipe, recipe.tray, wanted.massG);
  const taken = recipe.ingredients.flatMap(({ foodId }, at) => {
    const food = foods.get(foodId ?? '');
    if (!food) return [];
    const massG = amountsG[at] as number;
    const keeping = { day: wanted.day, openedDays: food.keeps.openedDays };
    return [
      { food, massG, price: pricePerGram(food.lots), ...drawDown(food.lots, massG, keeping) },
    ];
  });
  const prices = taken.map(({ massG, price }) => (price === null ? null : price * massG));
  const cost = prices.includes(null)
    ? null
    : prices.reduce<number>((sum, one) => sum + (one as number), 0);

  const { id, lotId, day, massG } = wanted;
  if (await readLot(scope, lotId)) throw idUsed();
  await scope.insert('lots', [
    {
      id: lotId,
      foodId: recipe.foodId,
      amountG: massG,
      costMinor: cost === null ? null : Math.round(cost),
      place: recipe.place,
      boughtOn: day,
      openedOn: day,
      bestBefore: addDays(day, recipe.keepsDays),
      version: 1,
    },
  ]);
  await scope.insert('batches', [
    { id, recipeId, recipeVersion: recipe.version, lotId, day, massG },
  ]);
  const draws = taken.flatMap((one) => one.draws);
  await scope.insert('stock_events', [
    ...draws.map((draw) => event(draw.lotId, 'mixed', -draw.massG, day, id)),
    event(lotId, 'made', massG, day, id),
  ]);
  for (const { food, draws: own } of taken) openLots(scope, food.lots, own, day);
  return {
    recipe: (await readRecipe(scope, recipeId)) as RecipeRow,
    short: taken
      .filter(({ shortG }) => shortG > NOTHING_G)
      .map(({ food, shortG }) => ({ foodId: food.id, massG: shortG })),
  };
}

/**
 * Take a batch back: the ingredients return to the lots that they came from, the portions vanish.
 * A second time changes nothing.
 * @throws ProblemError 409 where some of it was used already
 */
export async function undoBatch(scope: Scope, batchId: string, undoId: string): Promise<RecipeRow> {
  const { recipeId } = await BATCHES.undo(scope, batchId, { id: undoId }, async (batch) => {
    const recipe = await readRecipe(scope, batch.recipeId);
    if (!recipe) throw notFound('This recipe');
    await scope.lock(`food ${recipe.foodId}`);
    const lot = await readLot(scope, batch.lotId);
    if (!lot || Math.abs(lot.remainingG - batch.massG) > NOTHING_G) {
      throw conflict('Some of this batch was used already. Count what is left of it instead.');
    }
    const moved = await scope.read(
      z.object({ lotId: z.string(), deltaG: z.number() }),
      `SELECT lot_id, delta_g FROM stock_events
        WHERE household_id = :household AND batch_id = :batchId`,
      { batchId },
    );
    await scope.insert(
      'stock_events',
      moved.map(({ lotId, deltaG }) => event(lotId, 'unmade', -deltaG, batch.day, batchId)),
    );
  });
  return (await readRecipe(scope, recipeId)) as RecipeRow;
}

const event = (
  lotId: string,
  kind: 'mixed' | 'made' | 'unmade',
  deltaG: number,
  day: string,
  batchId: string,
) => ({ id: uuidv7(), lotId, kind, deltaG, day, batchId });
