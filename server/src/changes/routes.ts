import type { Handlers } from '../http/mount';
import { changesAfter, setPresence } from './store';

export const changeRoutes = {
  listChanges: ({ query }, { scope }) => changesAfter(scope, query.after),

  async setPresence({ body }, { scope, visitor }) {
    const person = visitor.who?.person?.name ?? null;
    await setPresence(scope, body.page, body.inRound ? { person, tankId: body.tankId } : null);
    return {};
  },
} satisfies Partial<Handlers>;
