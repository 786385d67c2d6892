import { cutPage, readCursor } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { makeBatch, undoBatch } from './batches';
import { changeRecipe, recipes, writeRecipe } from './store';

export const recipeRoutes = {
  async listRecipes({ query }, { scope }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const rows = await recipes(scope, after as string | null, query.limit + 1);
    return cutPage(rows, query.limit, (row) => [row.id]);
  },

  createRecipe: ({ body }, { scope }) => scope.atomically((inside) => writeRecipe(inside, body)),

  editRecipe: ({ params, body }, { scope }) =>
    scope.atomically((inside) => changeRecipe(inside, params.id, body)),

  async makeBatch({ params, body }, { scope, clock }) {
    await assertNotFuture(scope, clock, body, 'note a batch when it is made');
    return scope.atomically((inside) => makeBatch(inside, params.id, body));
  },

  undoBatch: ({ params, body }, { scope }) =>
    scope.atomically((inside) => undoBatch(inside, params.id, body.id)),
} satisfies Partial<Handlers>;
