import type { BroodCreate, DietEdit, Group } from '@open-larder/contract';
import { cutPage, readCursor } from '../db';
import { saveDiet } from '../diet/store';
import { addEvent } from '../group/acts';
import { readGroup } from '../group/store';
import { speciesOf } from '../species/store';
import { assertNotFuture } from '../household/ahead';
import { instantOf } from '@open-larder/core';
import { localDay, type Clock } from '../clock';
import { readHousehold, todayOf } from '../household/store';
import type { Context, Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import {
  addBroodEvent,
  addTub,
  beginBrood,
  checkParents,
  splitBrood,
  undoBroodEvent,
} from './acts';
import { broodCard } from './card';
import { broodDaySheet, onPage } from './daySheet';
import { readBrood, readBroodStatuses } from './status';
import { broodEvents, broods, readStoredBrood, readStoredTub } from './store';

const NOON = 12 * 60;

export const broodRoutes = {
  getStrategies: async (_request, { catalogue: { strategies, sexes } }) => ({ strategies, sexes }),

  async listBroods({ query }, { scope, catalogue, clock }) {
    const rows = await broods(scope, readCursor(query.cursor, 'seq'), query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, ({ seq }) => [seq]);
    const kept = items.map(({ seq: _, ...row }) => row);
    return { items: await readBroodStatuses(scope, catalogue, clock, kept), next };
  },

  async createBrood({ body }, context) {
    await beginWithEvents(context, body);
    const { scope, catalogue, clock } = context;
    return readBrood(scope, catalogue, clock, body.id);
  },

  async beginConditioning({ body }, context) {
    const { id, groupId, day, brood: line } = body;
    await changeStage(context, groupId, { id, day, stage: 'conditioning' }, body.diet);
    await beginWithEvents(context, line);
    const { scope, catalogue, clock } = context;
    return readBrood(scope, catalogue, clock, line.id);
  },

  async endConditioning({ params, body }, context) {
    const { id, day, diet } = body;
    await changeStage(context, params.id, { id, day, stage: 'adult' }, diet);
    const { scope, clock } = context;
    return (await readGroup(scope, params.id, await todayOf(scope, clock))) as Group;
  },

  editBrood: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      if (!(await readStoredBrood(inside, params.id))) throw notFound('This brood');
      await checkParents(inside, body);
      return inside.revise('broods', 'This brood', params.id, { ...body }, () =>
        readBrood(inside, catalogue, clock, params.id),
      );
    }),

  splitBrood: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      await splitBrood(inside, params.id, body);
      return readBrood(inside, catalogue, clock, params.id);
    }),

  addBroodTub: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      await addTub(inside, params.id, body);
      return readBrood(inside, catalogue, clock, params.id);
    }),

  editBroodTub: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const tub = await readStoredTub(inside, params.id);
      if (!tub) throw notFound('This tub');
      return inside.revise('brood_tubs', 'This tub', params.id, { ...body }, () =>
        readBrood(inside, catalogue, clock, tub.broodId),
      );
    }),

  async listBroodEvents({ params, query }, { scope }) {
    if (!(await readStoredBrood(scope, params.id))) throw notFound('This brood');
    const rows = await broodEvents(
      scope,
      params.id,
      readCursor(query.cursor, 'day', 'seq'),
      query.limit + 1,
    );
    return cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
  },

  async addBroodEvent({ params, body }, { scope, catalogue, clock }) {
    await assertNotFuture(scope, clock, body, 'say what happened on its day');
    return scope.atomically(async (inside) => {
      await addBroodEvent(inside, params.id, body);
      return readBrood(inside, catalogue, clock, params.id);
    });
  },

  async printBroodCard({ params }, { scope, catalogue, clock }) {
    const brood = await readBrood(scope, catalogue, clock, params.id);
    const household = await readHousehold(scope);
    const today = localDay(clock.now(), household.timeZone);
    const pdf = await broodCard(brood, today, household);
    const fileName = `${brood.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-card.pdf`;
    return { fileName, base64: Buffer.from(pdf).toString('base64') };
  },

  async printBroodDay({ params: { day }, query }, { scope, catalogue, clock }) {
    const household = await readHousehold(scope);
    const today = localDay(clock.now(), household.timeZone);
    // Another day is seen from its noon.
    const then: Clock = { now: () => instantOf(day, NOON, household.timeZone) };
    const rows = await readBroodStatuses(
      scope,
      catalogue,
      day === today ? clock : then,
      await broods(scope, null, null),
    );
    const kept = rows
      .filter(({ status }) => status.state.phase !== 'over')
      .flatMap((row) => onPage(row, query.tubs?.split(',') ?? null));
    const pdf = await broodDaySheet(kept, day, household, {
      expected: day > today,
      hand: query.hand ?? null,
    });
    return { fileName: `young-${day}.pdf`, base64: Buffer.from(pdf).toString('base64') };
  },

  undoBroodEvent: ({ params, body }, { scope, catalogue, clock }) =>
    scope.atomically(async (inside) => {
      const broodId = await undoBroodEvent(inside, params.id, body);
      return readBrood(inside, catalogue, clock, broodId);
    }),
} satisfies Partial<Handlers>;

/** The line of a brood, with what it began with. */
async function beginWithEvents(
  { scope, catalogue, clock }: Context,
  body: BroodCreate,
): Promise<void> {
  await beginBrood(scope, catalogue, body);
  for (const event of body.events) {
    await assertNotFuture(scope, clock, event, 'say what happened on its day');
    await addBroodEvent(scope, body.id, event);
  }
}

async function changeStage(
  { scope, catalogue, clock }: Context,
  groupId: string,
  { id, day, stage }: { id: string; day: string; stage: 'conditioning' | 'adult' },
  diet: DietEdit | null,
): Promise<void> {
  await assertNotFuture(scope, clock, { day }, 'begin it on its day');
  const species = await speciesOf(scope, catalogue);
  await addEvent(scope, species, groupId, { id, day, kind: 'staged', stage, note: '' });
  if (diet) await saveDiet(scope, groupId, diet, await todayOf(scope, clock));
}
