import { cutPage, readCursor } from '../db';
import { assertNotFuture } from '../household/ahead';
import type { Handlers } from '../http/mount';
import { notFound, invalid } from '../http/problems';
import { foodOf } from './food';
import { addVesselEvent, checkFood, startVessel, undoVesselEvent } from './acts';
import { readVessel, readVesselStatuses } from './status';
import { readStoredVessel, vesselEvents, vessels } from './store';

export const cultureRoutes = {
  getCultureKinds: async (_request, { catalogue }) => ({ kinds: catalogue.cultures }),

  async listVessels({ query }, { scope, catalogue, clock }) {
    const rows = await vessels(scope, readCursor(query.cursor, 'seq'), query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, ({ seq }) => [seq]);
    const kept = items.map(({ seq: _, ...row }) => row);
    return { items: await readVesselStatuses(scope, catalogue, clock, kept), next };
  },

  async createVessel({ body }, { scope, catalogue, clock }) {
    await assertNotFuture(
      scope,
      clock,
      { day: body.startedOn, at: body.at },
      'start it on its day',
    );
    if (body.looks) {
      await assertNotFuture(
        scope,
        clock,
        { day: body.looks.day, at: body.at },
        'enter it on its day',
      );
    }
    const known = new Set(catalogue.cultures.map(({ key }) => key));
    if (!known.has(body.kindKey)) throw invalid('kindKey', 'there is no such kind; choose another');
    if (body.alsoKindKey !== null && !known.has(body.alsoKindKey)) {
      throw invalid('alsoKindKey', 'there is no such kind; choose another');
    }
    return scope.atomically(async (inside) => {
      await startVessel(inside, { ...body, foodId: await foodOf(inside, catalogue, body) });
      return readVessel(inside, catalogue, clock, body.id);
    });
  },

  async editVessel({ params, body }, { scope, catalogue, clock }) {
    const known = new Set(catalogue.cultures.map(({ key }) => key));
    return scope.atomically(async (inside) => {
      const kept = await readStoredVessel(inside, params.id);
      if (!kept) throw notFound('This culture');
      const { alsoKindKey } = body;
      if (alsoKindKey !== null && (!known.has(alsoKindKey) || alsoKindKey === kept.kindKey)) {
        throw invalid('alsoKindKey', 'choose another kind, or none');
      }
      await checkFood(inside, body.foodId);
      return inside.revise('vessels', 'This culture', params.id, { ...body }, () =>
        readVessel(inside, catalogue, clock, params.id),
      );
    });
  },

  async listVesselEvents({ params, query }, { scope }) {
    if (!(await readStoredVessel(scope, params.id))) throw notFound('This culture');
    const rows = await vesselEvents(
      scope,
      params.id,
      readCursor(query.cursor, 'day', 'seq'),
      query.limit + 1,
    );
    return cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
  },

  async addVesselEvent({ params, body }, { scope, catalogue, clock }) {
    await assertNotFuture(scope, clock, body, 'say what happened on its day');
    return scope.atomically(async (inside) => {
      await addVesselEvent(inside, params.id, body);
      return readVessel(inside, catalogue, clock, params.id);
    });
  },

  undoVesselEvent: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const vesselId = await undoVesselEvent(inside, params.id, body);
      return readVessel(inside, catalogue, clock, vesselId);
    }),
} satisfies Partial<Handlers>;
