import { cutPage, readCursor } from '../db';
import { refuseAhead } from '../household/ahead';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { addBroodEvent, addTub, beginBrood, checkParents, undoBroodEvent } from './acts';
import { broodCard } from './card';
import { readBrood, stand } from './standing';
import { broodEvents, broods, keptBrood, keptTub } from './store';

export const broodRoutes: Handlers = {
  getWays: async (_request, { catalogue }) => ({ ways: catalogue.ways }),

  async listBroods({ query }, { scope, catalogue, clock }) {
    const rows = await broods(scope, readCursor(query.cursor, 'seq'), query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, ({ seq }) => [seq]);
    const kept = items.map(({ seq: _, ...row }) => row);
    return { items: await stand(scope, catalogue, clock, kept), next };
  },

  createBrood: ({ body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      await beginBrood(inside, catalogue, body);
      return readBrood(inside, catalogue, clock, body.id);
    }),

  editBrood: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      if (!(await keptBrood(inside, params.id))) throw notFound('This brood');
      await checkParents(inside, body);
      return inside.revise('broods', 'This brood', params.id, { ...body }, () =>
        readBrood(inside, catalogue, clock, params.id),
      );
    }),

  addBroodTub: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      await addTub(inside, params.id, body);
      return readBrood(inside, catalogue, clock, params.id);
    }),

  editBroodTub: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const tub = await keptTub(inside, params.id);
      if (!tub) throw notFound('This tub');
      return inside.revise('brood_tubs', 'This tub', params.id, { ...body }, () =>
        readBrood(inside, catalogue, clock, tub.broodId),
      );
    }),

  async listBroodEvents({ params, query }, { scope }) {
    if (!(await keptBrood(scope, params.id))) throw notFound('This brood');
    const rows = await broodEvents(
      scope,
      params.id,
      readCursor(query.cursor, 'day', 'seq'),
      query.limit + 1,
    );
    return cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
  },

  async addBroodEvent({ params, body }, { scope, catalogue, clock }) {
    await refuseAhead(scope, clock, body, 'say what happened on its day');
    return scope.atomically(async (inside) => {
      await addBroodEvent(inside, params.id, body);
      return readBrood(inside, catalogue, clock, params.id);
    });
  },

  async printBroodCard({ params }, { scope, catalogue, clock }) {
    const brood = await readBrood(scope, catalogue, clock, params.id);
    const pdf = await broodCard(brood, await todayOf(scope, clock));
    const fileName = `${brood.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-card.pdf`;
    return { fileName, base64: Buffer.from(pdf).toString('base64') };
  },

  undoBroodEvent: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const broodId = await undoBroodEvent(inside, params.id, body);
      return readBrood(inside, catalogue, clock, broodId);
    }),
};
