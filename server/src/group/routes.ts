import type { Group } from '@open-larder/contract';
import { cutPage, readCursor } from '../db';
import { todayOf } from '../household/store';
import type { Context, Handlers } from '../http/mount';
import { notFound, invalid } from '../http/problems';
import { speciesOf } from '../species/store';
import { addEvent, mergeGroup, moveGroups, splitGroup, startGroup, withdrawEvent } from './acts';
import { groupsOn, readHistory } from './history';
import { eventsOf } from './life';
import { groupIds, groupRow, readGroup } from './store';

/** @throws ProblemError 422 for a day that has not come */
async function pastDay({ scope, clock }: Context, day: string): Promise<string> {
  const today = await todayOf(scope, clock);
  if (day > today) throw invalid('day', 'this day has not come yet');
  return today;
}

async function groupToday({ scope }: Context, id: string, today: string): Promise<Group> {
  const group = await readGroup(scope, id, today);
  if (!group) throw notFound('This group');
  return group;
}

async function knownSpecies({ scope, catalogue }: Context, key: string) {
  const species = await speciesOf(scope, catalogue);
  if (!species.has(key)) {
    throw invalid('speciesKey', 'this species is not known here; choose one from the list');
  }
  return species;
}

export const groupRoutes = {
  async listGroups({ query }, { scope, clock }) {
    const after = readCursor(query.cursor, 'id')?.[0] ?? null;
    const [ids, today] = await Promise.all([
      groupIds(scope, after as string | null, query.limit + 1),
      todayOf(scope, clock),
    ]);
    const page = cutPage(ids, query.limit, (id) => [id]);
    const history = await readHistory(scope, page.items);
    return { items: groupsOn(history, query.day ?? today), next: page.next };
  },

  async createGroup({ body }, context) {
    const today = await pastDay(context, body.day);
    const species = await knownSpecies(context, body.speciesKey);
    await context.scope.atomically((inside) => startGroup(inside, species, body));
    return groupToday(context, body.id, today);
  },

  async editGroup({ params, body }, context) {
    const { scope, clock } = context;
    await knownSpecies(context, body.speciesKey);
    const today = await todayOf(scope, clock);
    if (body.bornOn && body.bornOn > today) throw invalid('bornOn', 'this day has not come yet');
    const { archived, ...edit } = body;
    return scope.revise(
      'groups',
      'This group',
      params.id,
      { ...edit, endedOn: archived ? today : null },
      () => readGroup(scope, params.id, today),
    );
  },

  async addGroupEvent({ params, body }, context) {
    const today = await pastDay(context, body.day);
    const species = await speciesOf(context.scope, context.catalogue);
    await context.scope.atomically((inside) => addEvent(inside, species, params.id, body));
    return groupToday(context, params.id, today);
  },

  async listGroupEvents({ params, query }, { scope }) {
    if (!(await groupRow(scope, params.id))) throw notFound('This group');
    const after = readCursor(query.cursor, 'day', 'seq');
    const rows = await eventsOf(scope, params.id, after, query.limit + 1);
    const page = cutPage(rows, query.limit, (row) => [row.day, row.seq]);
    return { items: page.items, next: page.next };
  },

  async withdrawGroupEvent({ params, body }, context) {
    const { scope, clock, catalogue } = context;
    if (body.replacement) await pastDay(context, body.replacement.day);
    const today = await todayOf(scope, clock);
    const species = await speciesOf(scope, catalogue);
    const groupId = await scope.atomically((inside) =>
      withdrawEvent(inside, species, params.id, body.replacement),
    );
    return groupToday(context, groupId, today);
  },

  async splitGroup({ params, body }, context) {
    const today = await pastDay(context, body.day);
    await context.scope.atomically((inside) => splitGroup(inside, params.id, body));
    return groupToday(context, body.id, today);
  },

  async mergeGroup({ params, body }, context) {
    const today = await pastDay(context, body.day);
    await context.scope.atomically((inside) => mergeGroup(inside, params.id, body));
    return groupToday(context, body.intoGroupId, today);
  },

  async moveGroups({ body }, context) {
    await pastDay(context, body.day);
    const moved = await context.scope.atomically((inside) => moveGroups(inside, body));
    return { moved };
  },
} satisfies Partial<Handlers>;
