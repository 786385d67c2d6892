import { api } from './api';
import { nowMs } from './clock';
import type { Store } from './store';
import { localNow } from './useNow';

const LISTS = ['moments', 'tanks', 'groups', 'foods', 'catalogue', 'species'] as const;

/** Ask for what every place shows, before the first of them is drawn: the answers come meanwhile. */
export function readAhead(store: Store): Store {
  // Asked first: the Round can be asked for as soon as the household's day and the hand are known.
  const household = store.dispatch(api.endpoints.household.initiate());
  const me = store.dispatch(api.endpoints.me.initiate());
  for (const list of LISTS) store.dispatch(api.util.prefetch(list, undefined, {}));
  if (opensRound()) void readRoundAhead(store, household, me);
  return store;
}

const opensRound = (): boolean =>
  typeof location !== 'undefined' &&
  ['/', '/round'].includes(location.pathname) &&
  !location.search;

/** Today's Round, without waiting for the lists: where the night still counts as yesterday, it is asked for again. */
async function readRoundAhead(
  store: Store,
  household: PromiseLike<{ data?: { timeZone: string } }>,
  me: PromiseLike<{ data?: { person: { name: string } | null } }>,
): Promise<void> {
  const [house, who] = await Promise.all([household, me]);
  if (!house.data || !who.data) return;
  const { day } = localNow(new Date(nowMs()), house.data.timeZone);
  const of = { day, hand: who.data.person?.name ?? store.getState().display.hand };
  store.dispatch(api.util.prefetch('round', of, {}));
  store.dispatch(api.util.prefetch('preparations', of, {}));
}
