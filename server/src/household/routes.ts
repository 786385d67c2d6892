import type { Handlers } from '../http/mount';
import { readHousehold } from './store';

export const householdRoutes = {
  getHousehold: (_request, { scope }) => readHousehold(scope),
  editHousehold: ({ body }, { scope }) =>
    scope.reviseHousehold('The household', body, () => readHousehold(scope)),
} satisfies Partial<Handlers>;
