import { api } from './api';
import { nowMs } from './clock';
import { localNow } from './localNow';
import { forget, recall, remember } from './memory';
import type { Store } from './store';

const LISTS = ['moments', 'tanks', 'groups', 'foods', 'catalogue', 'species'] as const;

const PLACE = 'round ahead';
/** By what the last Round was asked for. */
interface Last {
  timeZone: string;
  hand: string | null;
}

/** Ask for what every place shows, before the first of them is drawn: the answers come meanwhile. */
export function readAhead(store: Store): void {
  // Asked first: the Round can be asked for as soon as the household's day and the hand are known.
  const household = store.dispatch(api.endpoints.household.initiate());
  const me = store.dispatch(api.endpoints.me.initiate());
  for (const list of LISTS) store.dispatch(api.util.prefetch(list, undefined, {}));
  if (opensRound()) void readRoundAhead(store, household, me);
}

const opensRound = (): boolean =>
  typeof location !== 'undefined' &&
  ['/', '/round'].includes(location.pathname) &&
  !location.search;

/**
 * Today's Round, without waiting for the lists, and where one was opened here before without waiting for
 * anything. Where the night still counts as yesterday, it is asked for again.
 */
async function readRoundAhead(
  store: Store,
  household: PromiseLike<{ data?: { timeZone: string } }>,
  me: PromiseLike<{ data?: { person: { name: string } | null } }>,
): Promise<void> {
  const last = recall<Last>(PLACE);
  if (last) askForRound(store, last);
  const [house, who] = await Promise.all([household, me]);
  if (!house.data || !who.data) return;
  const now: Last = {
    timeZone: house.data.timeZone,
    hand: who.data.person?.name ?? store.getState().display.hand,
  };
  remember(PLACE, now);
  // What is under way already is not asked for twice.
  askForRound(store, now);
}

function askForRound(store: Store, { timeZone, hand }: Last): void {
  const of = { day: localNow(new Date(nowMs()), timeZone).day, hand };
  store.dispatch(api.util.prefetch('round', of, {}));
  store.dispatch(api.util.prefetch('preparations', of, {}));
}

/** Nothing of who opened the Round here stays. */
export const forgetRoundAhead = (): void => forget(PLACE);
