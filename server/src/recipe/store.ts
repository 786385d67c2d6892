import {
  foodFields,
  productChanges,
  productOf,
  type BodyOf,
  type FoodFields,
  type FoodRow,
  type RecipeFields,
  type RecipeRow,
} from '@open-larder/contract';
import { circleOf } from '@open-larder/core';
import { refuseOwnMix, refusePiece } from '@open-larder/say/refusal';
import { eventLog, type Scope } from '../db';
import { allFoods, foodColumns, readFood } from '../food/store';
import { idUsed, notFound, invalid } from '../http/problems';
import { z } from 'zod';

/** A batch that was made, with the recipe as it was. */
interface Batch {
  id: string;
  recipeId: string;
  recipeVersion: number;
  lotId: string;
  day: string;
  massG: number;
}

export const BATCHES = eventLog<Batch>({
  table: 'batches',
  what: 'This batch',
  columns: 'e.id, e.recipe_id, e.recipe_version, e.lot_id, e.day::text, e.mass_g',
});

type FlatRecipe = Omit<RecipeRow, 'ingredients' | 'batches'>;

const COLUMNS = `r.id, r.food_id, r.name, r.kind, r.place, r.keeps_days, r.cooked, r.drained, r.tray,
  r.targets, r.method, r.version, r.archived`;

/** Recipes after a cursor in order of id, with what goes in and their batches; null is all of them. */
export async function recipes(
  scope: Scope,
  after: string | null,
  limit: number | null,
): Promise<RecipeRow[]> {
  return whole(
    scope,
    await scope.rows<FlatRecipe>(
      `SELECT ${COLUMNS} FROM recipes r WHERE household_id = :household
        ${after === null ? '' : 'AND id > :after'} ORDER BY id LIMIT :limit`,
      { after, limit },
    ),
  );
}

export async function readRecipe(scope: Scope, id: string): Promise<RecipeRow | null> {
  const rows = await scope.rows<FlatRecipe>(
    `SELECT ${COLUMNS} FROM recipes r WHERE household_id = :household AND id = :id`,
    { id },
  );
  return (await whole(scope, rows))[0] ?? null;
}

async function whole(scope: Scope, rows: readonly FlatRecipe[]): Promise<RecipeRow[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  const [ingredients, batches] = await Promise.all([
    scope.rows<RecipeRow['ingredients'][number] & { recipeId: string }>(
      `SELECT i.recipe_id, i.food_id, i.share, i.binder FROM recipe_ingredients i
         JOIN recipes r ON r.household_id = i.household_id AND r.id = i.recipe_id
                       AND r.version = i.version
        WHERE i.household_id = :household AND i.recipe_id IN (:ids) ORDER BY i.position`,
      { ids },
    ),
    BATCHES.list(scope, 'e.recipe_id IN (:ids) ORDER BY e.day DESC, e.recorded_at DESC', { ids }),
  ]);
  return rows.map((row) => ({
    ...row,
    ingredients: ingredients
      .filter((one) => one.recipeId === row.id)
      .map(({ foodId, share, binder }) => ({ foodId, share, binder })),
    batches: batches
      .filter((one) => one.recipeId === row.id)
      .map(({ recipeId: _, recipeVersion: __, ...batch }) => batch),
  }));
}

/** Foods that a recipe in use makes. */
export async function homemadeFoods(scope: Scope): Promise<Set<string>> {
  const rows = await scope.read(
    z.object({ foodId: z.string() }),
    'SELECT food_id FROM recipes WHERE household_id = :household AND NOT archived',
  );
  return new Set(rows.map((row) => row.foodId));
}

/**
 * Write a recipe once, with the food that it makes. The same id sent again changes nothing.
 * @param adopts true where the food may be on the shelf already, and follows the recipe from now on
 */
export async function writeRecipe(
  scope: Scope,
  { id, foodId, ingredients, ...fields }: BodyOf<'createRecipe'>,
  adopts = false,
): Promise<RecipeRow> {
  await scope.lock(`recipe ${id}`);
  const known = await readRecipe(scope, id);
  if (known) return known;
  const there = await readFood(scope, foodId);
  if (there && !adopts) throw idUsed();
  const foods = await ingredientsOf(scope, foodId, ingredients);
  const recipe = { ...fields, ingredients };
  if (there) await refreshProduct(scope, recipe, foodId, foods, there.archived);
  else {
    const product = sensible(() => productOf(recipe, foods));
    believeProduct(product);
    await scope.insert('foods', [
      { id: foodId, ...foodColumns(product), version: 1, archived: false },
    ]);
  }
  await scope.insert('recipes', [{ ...fields, id, foodId, version: 1, archived: false }]);
  await writeIngredients(scope, id, 1, ingredients);
  return (await readRecipe(scope, id)) as RecipeRow;
}

/** Change a recipe, and what of its food follows it. */
export async function changeRecipe(
  scope: Scope,
  id: string,
  { ingredients, ...edit }: BodyOf<'editRecipe'>,
): Promise<RecipeRow> {
  await scope.lock(`recipe ${id}`);
  const before = await readRecipe(scope, id);
  if (!before) throw notFound('This recipe');
  const foods = await ingredientsOf(scope, before.foodId, ingredients);
  await scope.revise('recipes', 'This recipe', id, edit, () => readRecipe(scope, id));
  believeProduct(sensible(() => productOf({ ...edit, ingredients }, foods)));
  await writeIngredients(scope, id, edit.version + 1, ingredients);
  await refreshProduct(scope, { ...edit, ingredients }, before.foodId, foods, edit.archived);
  return (await readRecipe(scope, id)) as RecipeRow;
}

function writeIngredients(
  scope: Scope,
  recipeId: string,
  version: number,
  ingredients: RecipeFields['ingredients'],
): Promise<void> {
  return scope.insert(
    'recipe_ingredients',
    ingredients.map((one, position) => ({ ...one, recipeId, version, position })),
  );
}

/** Make the food say what its recipe now makes of its ingredients, as they now are. */
export async function refreshProduct(
  scope: Scope,
  recipe: RecipeFields,
  foodId: string,
  foods: ReadonlyMap<string, FoodRow>,
  archived: boolean,
): Promise<void> {
  const food = foods.get(foodId) as FoodRow;
  const changes = sensible(() => productChanges(recipe, food, foods));
  const columns = foodColumns({ ...food, ...changes });
  await scope.revise(
    'foods',
    'This food',
    foodId,
    { ...columns, version: food.version, archived },
    () => readFood(scope, foodId),
  );
}

/**
 * All foods of the household by id, once the ingredients are known to be among them.
 * @throws ProblemError 422 where one is not, or the mix would contain itself
 */
export async function ingredientsOf(
  scope: Scope,
  product: string,
  ingredients: RecipeFields['ingredients'],
): Promise<Map<string, FoodRow>> {
  // One writer at a time: two recipes that are saved at once could close a circle together.
  await scope.lock(`recipes ${scope.householdId}`);
  const [rows, others] = await Promise.all([allFoods(scope), recipes(scope, null, null)]);
  const foods = new Map(rows.map((food) => [food.id, food]));
  const strange = ingredients.findIndex(
    ({ foodId }) => foodId !== null && !foods.has(foodId) && foodId !== product,
  );
  if (strange >= 0) {
    throw invalid(`ingredients.${strange}.foodId`, 'this food is not on the shelf; choose another');
  }
  const used = (all: RecipeFields['ingredients']) => all.flatMap(({ foodId }) => foodId ?? []);
  const circle = circleOf(
    product,
    used(ingredients),
    new Map(others.map((one) => [one.foodId, used(one.ingredients)])),
  );
  if (circle) {
    const by = circle.slice(1, -1).map((id) => foods.get(id)?.name ?? 'it');
    const at = ingredients.findIndex(({ foodId }) => foodId === circle[1]);
    throw invalid(`ingredients.${at}.foodId`, refuseOwnMix(by));
  }
  return foods;
}

/**
 * What is derived is held to the limits of what is entered.
 * @throws ProblemError 422 where the pieces are such as no food comes in
 */
function believeProduct(product: FoodFields): void {
  const wrong = foodFields.safeParse(product).error?.issues[0];
  if (!wrong) return;
  const [field] = wrong.path;
  if (field === 'unit' || field === 'inWater') {
    throw invalid('tray.columns', refusePiece(product.unit));
  }
  throw invalid('ingredients', wrong.message);
}

/** A mix that cannot be is refused where it is said. */
function sensible<T>(compute: () => T): T {
  try {
    return compute();
  } catch (error) {
    if (error instanceof RangeError) throw invalid('cooked', error.message);
    throw error;
  }
}
