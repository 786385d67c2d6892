import type { RouteName } from '@open-larder/contract';
import { paths } from '@open-larder/contract/paths';

const ADDRESS = /^\/api\/(me|people|sign-|first-|recovery|pairings|invitations|households)/;

/** What is about people rather than a household’s records: their own tests try it. */
export const ABOUT_PEOPLE = (Object.keys(paths) as RouteName[]).filter((name) =>
  ADDRESS.test(paths[name][1]),
);
