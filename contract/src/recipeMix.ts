import { pieceMassG, mixture, WATER, type Mixture, type Part } from '@open-larder/core/recipe';
import type { FoodFields, FoodRow } from './food';
import type { RecipeFields } from './recipe';

type Foods = ReadonlyMap<string, Pick<FoodRow, 'composition' | 'plantShare'>>;
type Mixed = Pick<RecipeFields, 'ingredients' | 'cooked' | 'drained'>;

/** What goes into a mix, in grams to a gram of it; a food that is no longer known counts as water. */
export function partsOf(ingredients: Mixed['ingredients'], foods: Foods): Part[] {
  return ingredients.map(({ foodId, share }) => {
    const food = foodId === null ? WATER : (foods.get(foodId) ?? WATER);
    return { massG: share, composition: food.composition, plantShare: food.plantShare };
  });
}

/**
 * What a recipe makes, by what is in it.
 * @throws RangeError where more would be lost than there is water
 */
export const mixOf = (recipe: Mixed, foods: Foods): Mixture =>
  mixture(partsOf(recipe.ingredients, foods), recipe);

/** What a hand measures of it; its mass follows from the tray. */
const PIECE = { name: 'piece', plural: 'pieces', massG: 1, step: 0.5 };
/** Cut frozen, a piece thaws in about this long. Assumption. */
const THAW = { kind: 'thaw' as const, leadMin: 20, workMin: 1, toMm: null };
/** A mix of this kind may lie before what is left of it fouls. Assumption. */
const LIFT_AFTER_MIN = 120;

/** The food that a recipe makes, as it first comes to the shelf. */
export function productOf(recipe: RecipeFields, foods: ReadonlyMap<string, FoodRow>): FoodFields {
  const used = recipe.ingredients.flatMap(({ foodId }) => foods.get(foodId ?? '') ?? []);
  const cautions = (of: 'people' | 'fish') =>
    [...new Set(used.flatMap((food) => food.cautions[of]))].slice(0, 6);
  const blank = {
    unit: PIECE,
    keeps: { sealedDays: null, openedDays: null, preparedHours: null },
    inWater: { floatMinutes: 0, sinkCmPerS: null, particleMinMm: null, particleMaxMm: null },
  };
  return {
    family: recipe.kind === 'gel' ? 'jelly' : 'mortar',
    kind: recipe.kind,
    form: 'sinks',
    steps: recipe.place === 'freezer' ? [THAW] : [],
    liftAfterMin: LIFT_AFTER_MIN,
    cautions: { people: cautions('people'), fish: cautions('fish') },
    copiedFrom: null,
    ...productChanges(recipe, blank, foods),
  };
}

/** What of that food follows its recipe; all else is the keeper's to change. */
export function productChanges(
  recipe: RecipeFields,
  food: Pick<FoodFields, 'unit' | 'keeps' | 'inWater'>,
  foods: Foods,
) {
  const { composition, plantShare } = mixOf(recipe, foods);
  const { lengthCm, widthCm, depthCm, columns, rows } = recipe.tray;
  const edgesMm = [lengthCm / columns, widthCm / rows, depthCm].map((cm) => cm * 10);
  return {
    name: recipe.name,
    composition,
    plantShare,
    unit: { ...food.unit, massG: pieceMassG(recipe.tray) },
    keeps: { ...food.keeps, sealedDays: recipe.keepsDays },
    inWater: {
      ...food.inWater,
      particleMinMm: Math.min(400, ...edgesMm),
      particleMaxMm: Math.min(400, Math.max(...edgesMm)),
    },
  };
}
