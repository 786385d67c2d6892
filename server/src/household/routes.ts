import type { Handlers } from '../http/mount';
import { readHousehold } from './store';

export const householdRoutes: Handlers = {
  getHousehold: (_request, { scope }) => readHousehold(scope),
  editHousehold: ({ body }, { scope }) =>
    scope.reviseHousehold('The household', body, () => readHousehold(scope)),
};
