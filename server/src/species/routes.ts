import { cutPage, readCursor } from '../db';
import type { Handlers } from '../http/mount';
import { idUsed } from '../http/problems';
import { ownSpecies, readOwnSpecies } from './store';

export const speciesRoutes = {
  async listSpecies({ query }, { scope }) {
    const after = (readCursor(query.cursor, 'id')?.[0] ?? null) as string | null;
    return cutPage(await ownSpecies(scope, after, query.limit + 1), query.limit, (row) => [row.id]);
  },

  async createSpecies({ body }, { scope }) {
    await scope.insertOnce('species', [{ ...body, version: 1, archived: false }]);
    const made = await readOwnSpecies(scope, body.id);
    if (!made) throw idUsed();
    return made;
  },

  editSpecies: ({ params, body }, { scope }) =>
    scope.revise('species', 'This species', params.id, body, () =>
      readOwnSpecies(scope, params.id),
    ),
} satisfies Partial<Handlers>;
