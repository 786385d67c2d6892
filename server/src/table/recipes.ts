import { groups } from 'd3-array';
import {
  id as idSchema,
  recipeCreate,
  recipeEdit,
  type RecipeRow,
  type SheetLine,
} from '@open-larder/contract';
import { isDeepStrictEqual } from 'node:util';
import { v7 as uuidv7 } from 'uuid';
import { allFoods } from '../food/store';
import { ProblemError } from '../http/problems';
import { changeRecipe, ingredientsOf, recipes, writeRecipe } from '../recipe/store';
import { byIdOrName, faulty, unread, verdict, type Take, type Verdict } from './taking';

const WATER = /^water$/i;
const TRAY = ['lengthCm', 'widthCm', 'depthCm', 'columns', 'rows'] as const;
const AIMS = ['protein', 'fat', 'plant', 'moisture'] as const;

/** A recipe as lines of a table, one an ingredient; the first says what holds for all of it. */
export function recipeLines(recipe: RecipeRow, nameOf: (foodId: string) => string) {
  const { ingredients, tray, targets, ...fields } = recipe;
  return ingredients.map(({ foodId, share, binder }, at) => ({
    ...(at === 0 ? { ...fields, ...tray, ...targets, foodId: nameOf(recipe.foodId) } : {}),
    id: recipe.id,
    name: recipe.name,
    ingredient: foodId === null ? 'water' : nameOf(foodId),
    share,
    binder,
  }));
}

/**
 * Recipes by id, or by name where a line has no id; lines of one recipe follow each other. What a
 * new one makes comes to the shelf with it, unless the table names a food that is there already.
 */
export const takeRecipes: Take = async ({ scope }, lines) => {
  const [known, foods] = await Promise.all([recipes(scope, null, null), allFoods(scope)]);
  const foodOf = byIdOrName(foods);
  const recipeOf = byIdOrName(known);
  const byId = new Map(known.map((recipe) => [recipe.id, recipe]));
  const verdicts: Verdict[] = lines.map((line) => unread(line) ?? verdict('same'));
  const writes: (() => Promise<unknown>)[] = [];

  for (const group of together(lines)) {
    if (group.some((at) => verdicts[at]?.state === 'error')) continue;
    const judged = await judge(group.map((at) => (lines[at] as SheetLine).values));
    group.forEach((at, index) => {
      verdicts[at] = judged.perLine[index] ?? judged.all;
    });
    if (judged.write) writes.push(judged.write);
  }

  return {
    verdicts,
    async write() {
      for (const write of writes) await write();
    },
  };

  interface Judged {
    all: Verdict;
    perLine: (Verdict | undefined)[];
    write?: () => Promise<unknown>;
  }

  async function judge(rows: Record<string, unknown>[]): Promise<Judged> {
    const head = rows[0] as Record<string, unknown>;
    const wanted = String(head.id ?? head.name ?? '');
    const old = byId.get(recipeOf(wanted) ?? '');
    const strange = rows.map(({ ingredient }) =>
      ingredient === null || WATER.test(String(ingredient)) || foodOf(String(ingredient))
        ? undefined
        : faulty({
            ingredient: 'no food here has this name, or only this one; take the foods in first',
          }),
    );
    if (strange.some(Boolean)) return { all: verdict('same'), perLine: strange };
    const makes = String(head.foodId ?? '');
    const product =
      old?.foodId ?? foodOf(makes) ?? (idSchema.safeParse(makes).success ? makes : uuidv7());
    const fields = fieldsOf(head, rows, old);
    const read = old
      ? recipeEdit.safeParse({ ...fields, version: old.version })
      : recipeCreate.safeParse({
          ...fields,
          id: head.id ? String(head.id) : uuidv7(),
          foodId: product,
        });
    if (!read.success) return linesWithErrors(rows.length, read.error.issues);
    try {
      await ingredientsOf(scope, product, read.data.ingredients);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      const issues = (error.problem.errors ?? []).map(({ path, message }) => ({
        path: path.split('.'),
        message,
      }));
      return linesWithErrors(rows.length, issues);
    }
    const perLine: Judged['perLine'] = [];
    if (!old) {
      const body = read.data as ReturnType<typeof recipeCreate.parse>;
      const all = verdict('new', 'will be written, with the food that it makes');
      return { all, perLine, write: () => writeRecipe(scope, body, true) };
    }
    const edit = read.data as ReturnType<typeof recipeEdit.parse>;
    const { id, foodId: _, batches: __, ...before } = old;
    if (isDeepStrictEqual(rounded(edit), rounded(before))) {
      return { all: verdict('same', 'is here as it is'), perLine };
    }
    const all = verdict('changed', 'will be changed, and the food that it makes with it');
    return { all, perLine, write: () => changeRecipe(scope, id, edit) };
  }

  function fieldsOf(
    head: Record<string, unknown>,
    rows: Record<string, unknown>[],
    old?: RecipeRow,
  ) {
    const say = (field: string, otherwise: unknown) => head[field] ?? otherwise;
    return {
      name: say('name', old?.name ?? ''),
      kind: say('kind', old?.kind ?? 'gel'),
      place: say('place', old?.place ?? 'freezer'),
      keepsDays: say('keepsDays', old?.keepsDays ?? 60),
      cooked: say('cooked', old?.cooked ?? 0),
      drained: say('drained', old?.drained ?? 0),
      method: say('method', old?.method ?? ''),
      archived: say('archived', old?.archived ?? false),
      tray: Object.fromEntries(
        TRAY.map((field) => [field, say(field, old?.tray[field] ?? USUAL[field])]),
      ),
      targets: Object.fromEntries(
        AIMS.map((aim) => [
          aim,
          say(aim, head[aim] === undefined ? (old?.targets[aim] ?? null) : null),
        ]),
      ),
      ingredients: rows.map(({ ingredient, share, binder }) => ({
        foodId:
          ingredient === null || WATER.test(String(ingredient)) ? null : foodOf(String(ingredient)),
        share,
        binder: binder ?? false,
      })),
    };
  }
};

/** A small tray, where a table names none: an assumption, to be changed. */
const USUAL = { lengthCm: 20, widthCm: 15, depthCm: 1, columns: 10, rows: 6 };

/** The places of lines that belong to one recipe, in order. */
function together(lines: readonly SheetLine[]): number[][] {
  const recipeOf = ({ values }: SheetLine) => String(values.id ?? values.name ?? '').toLowerCase();
  return groups(lines.keys(), (at) => recipeOf(lines[at]!)).map(([, places]) => places);
}

/** Faults of one ingredient on its own line, all others on the first. */
function linesWithErrors(
  count: number,
  issues: readonly { path: readonly PropertyKey[]; message: string }[],
) {
  const errors: Record<string, string>[] = Array.from({ length: count }, () => ({}));
  for (const { path, message } of issues) {
    const [field, at, inner] = path.map(String);
    const line = field === 'ingredients' && at !== undefined ? Number(at) : 0;
    const inside = inner === 'foodId' ? 'ingredient' : inner;
    const column = field === 'ingredients' ? (inside ?? '') : (at ?? field ?? '');
    (errors[line] ?? errors[0])![column] ??= message;
  }
  const perLine = errors.map((own) => (Object.keys(own).length > 0 ? faulty(own) : undefined));
  return { all: verdict('same', 'waits for the rest of its recipe'), perLine };
}

/** Shares as a file holds them, so that what comes back from one is the same. */
const rounded = (value: object): unknown =>
  JSON.parse(
    JSON.stringify(value, (_key, one: unknown) =>
      typeof one === 'number' ? Math.round(one * 1e8) / 1e8 : one,
    ),
  );
