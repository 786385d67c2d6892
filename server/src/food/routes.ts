import type { FoodRow } from '@open-larder/contract';
import { withLive } from '../culture/live';
import { cutPage, readCursor } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { labelsOf } from './labels';
import { createFood, assertLotNotAhead } from './acts';
import { foodColumns, foods, readFood, readLot, changedSince, shelve, WEIGHINGS } from './store';

export const foodRoutes = {
  async listFoods({ query }, { scope, catalogue, clock }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const rows = await foods(scope, after as string | null, query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, (row) => [row.id]);
    return { items: await withLive(scope, catalogue, clock, items), next };
  },

  createFood: ({ body }, { scope, clock }) =>
    scope.atomically((inside) => createFood(inside, clock, body)),

  editFood: ({ params, body }, { scope }) =>
    scope.revise(
      'foods',
      'This food',
      params.id,
      { ...foodColumns(body), version: body.version, archived: body.archived },
      () => readFood(scope, params.id),
    ),

  addLot: async ({ params, body }, { scope, clock }) => {
    await assertLotNotAhead(scope, clock, body);
    return scope.atomically(async (inside) => {
      if (!(await readFood(inside, params.id))) throw notFound('This food');
      await shelve(inside, params.id, body);
      return (await readFood(inside, params.id)) as FoodRow;
    });
  },

  async editLot({ params, body }, { scope, clock }) {
    await assertLotNotAhead(scope, clock, body);
    return scope.revise('lots', 'This lot', params.id, body, () => readLot(scope, params.id));
  },

  countLot: async ({ params, body }, { scope, clock }) => {
    await assertNotFuture(scope, clock, body, 'count it on its day');
    return scope.atomically(async (inside) => {
      await inside.lock(`lot ${params.id}`);
      const lot = await readLot(inside, params.id);
      if (!lot) throw notFound('This lot');
      const at = body.at ?? null;
      // Without its instant it is of now, and what comes after it is served after it.
      const { since, recounted } =
        at === null ? { since: 0, recounted: false } : await changedSince(inside, params.id, at);
      await inside.insertOnce('stock_events', [
        {
          id: body.id,
          lotId: params.id,
          kind: 'counted',
          // What was counted later is what is there.
          deltaG: recounted ? 0 : body.remainingG - (lot.remainingG - since),
          day: body.day,
          at,
        },
      ]);
      return (await readLot(inside, params.id)) ?? lot;
    });
  },

  addWeighing: async ({ params, body }, { scope, clock }) => {
    await assertNotFuture(scope, clock, body, 'weigh it on its day');
    return scope.atomically(async (inside) => {
      const food = await readFood(inside, params.id);
      if (!food) throw notFound('This food');
      const unit = food.unit.name;
      await inside.insertOnce('weighings', [{ ...body, foodId: params.id, unit }]);
      return (await readFood(inside, params.id)) as FoodRow;
    });
  },

  undoWeighing: ({ params, body }, { scope }) =>
    scope.atomically(async (inside) => {
      const { foodId } = await WEIGHINGS.undo(inside, params.id, body);
      return (await readFood(inside, foodId)) as FoodRow;
    }),

  async printLabels({ params, query }, { scope }) {
    const lot = await readLot(scope, params.id);
    const food = lot && (await readFood(scope, lot.foodId));
    if (!food) throw notFound('This lot');
    const pdf = await labelsOf(food, lot, query.copies);
    const name = food.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-');
    return {
      fileName: `labels-${name}-${lot.boughtOn}.pdf`,
      base64: Buffer.from(pdf).toString('base64'),
    };
  },
} satisfies Partial<Handlers>;
