import type { Handlers } from '../http/mount';

export const catalogueRoutes: Handlers = {
  getCatalogue: async (_request, { catalogue }) => catalogue,
};
