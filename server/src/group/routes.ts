import { cutPage, readCursor } from '../db';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { conflict, notFound, refused } from '../http/problems';
import { groupsOn, readHistory } from './history';
import { addEvent, groupIds, readGroup, startGroup } from './store';

export const groupRoutes: Handlers = {
  async listGroups({ query }, { scope, clock }) {
    const after = readCursor(query.cursor, 1)?.[0] ?? null;
    const [ids, today] = await Promise.all([
      groupIds(scope, after as string | null, query.limit + 1),
      todayOf(scope, clock),
    ]);
    const page = cutPage(ids, query.limit, (id) => [id]);
    return { items: groupsOn(await readHistory(scope, page.items), today), next: page.next };
  },

  async createGroup({ body }, { scope, catalogue, clock }) {
    if (!catalogue.species.some((species) => species.key === body.speciesKey)) {
      throw refused('speciesKey', 'this species is not in the catalogue; choose one from the list');
    }
    const today = await todayOf(scope, clock);
    if (body.day > today) throw refused('day', 'enter a group on the day it comes, not before');
    await scope.atomically((inside) => startGroup(inside, body));
    const made = await readGroup(scope, body.id, today);
    if (!made) throw conflict('This id is already used. Reload and try again.');
    return made;
  },

  async editGroup({ params, body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    const { archived, ...edit } = body;
    return scope.revise(
      'groups',
      'This group',
      params.id,
      { ...edit, endedOn: archived ? today : null },
      () => readGroup(scope, params.id, today),
    );
  },

  async addGroupEvent({ params, body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    if (body.day > today) throw refused('day', 'this day has not come yet');
    await scope.atomically((inside) => addEvent(inside, params.id, body));
    const group = await readGroup(scope, params.id, today);
    if (!group) throw notFound('This group');
    return group;
  },
};
