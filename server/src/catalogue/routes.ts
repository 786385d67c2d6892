import type { Handlers } from '../http/mount';

export const catalogueRoutes = {
  getCatalogue: async (_request, { catalogue }) => catalogue,
} satisfies Partial<Handlers>;
