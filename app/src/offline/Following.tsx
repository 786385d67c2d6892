import { useEffect, useMemo } from 'react';
import type { Me } from '@open-larder/contract';
import { addDays } from '@open-larder/core/round';
import { ALL_TAGS, api, staleAfter, type Stale } from '../store/api';
import { useAppDispatch } from '../store/hooks';
import { call, onAnswer, sendQuietly } from '../store/call';
import { othersSeen } from '../store/present';
import { onReachChange, reachNow } from '../store/reach';
import { useHand } from '../store/useHand';
import { useHousehold } from '../store/useHousehold';
import { useToday } from '../store/useNow';
import { followChanges } from './changes';
import type { KeptAnswer } from './device';
import { gathered } from './gathered';
import { openHere } from './here';
import { install, sendInBackground } from './install';

/** How often a server that is out of reach is asked for. */
const ASK_MS = 5000;
/** Answers are written when the page has come to rest. */
const REST_MS = 1500;
/** The app is put on the device when what the first screen needs is there. */
const INSTALL_MS = 3000;
/** The shelf and the lists follow others’ servings so long after the last of them, and at the latest. */
const LATER = { restMs: 3000, latestMs: 15_000 };
/** So many days of rounds are on the device, and how soon after the last they are read anew. */
const DAYS_AHEAD = 7;
const BETWEEN_MS = 400;

/** Keeps this device and the server together, while the house is open. Draws nothing. */
export function Following() {
  const { data: me } = api.useMeQuery();
  const whose = whoseOf(me);
  useKeeping();
  return whose === null ? null : <Together key={whose} whose={whose} />;
}

/** Of which person in which household what is done here is; null before anyone is signed in. */
export function whoseOf(me: Me | undefined): string | null {
  if (!me || me.signedIn === 'no' || !me.household) return null;
  return `${me.household.id} ${me.person?.id ?? ''}`.trim();
}

/** What is read is kept, many answers in one writing. */
function useKeeping(): void {
  useEffect(() => {
    const answers = new Map<string, KeptAnswer>();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const write = () => {
      timer = undefined;
      const some = [...answers.values()];
      answers.clear();
      void openHere().then((here) => here.keepAnswers(some));
    };
    onAnswer((answer) => {
      answers.set(answer.address, answer);
      timer ??= setTimeout(write, REST_MS);
    });
  }, []);
}

function Together({ whose }: { whose: string }) {
  const dispatch = useAppDispatch();
  const timeZone = useHousehold()?.timeZone;
  useEffect(() => {
    if (timeZone) void openHere().then((here) => here.belongTo({ whose, timeZone }));
  }, [whose, timeZone]);
  useEffect(() => {
    let stop: (() => void) | undefined;
    void openHere().then((here) => {
      stop = here.onTaken(({ route, params }) =>
        dispatch(api.util.invalidateTags([...staleAfter(route, params?.id ?? null)])),
      );
    });
    return () => stop?.();
  }, [dispatch]);
  const later = useLater();
  useEffect(
    () =>
      followChanges({
        changed: (changes) => {
          const stale = changes.flatMap(({ route, subject }) => [...staleAfter(route, subject)]);
          const first = stale.filter(isFirst);
          if (first.length > 0) dispatch(api.util.invalidateTags(first));
          later(stale.filter((tag) => !isFirst(tag)));
        },
        anew: () => dispatch(api.util.invalidateTags([...ALL_TAGS])),
        here: (here) => dispatch(othersSeen(here)),
        refused: () => dispatch(api.util.invalidateTags(['me'])),
      }),
    [dispatch, later],
  );
  // What was shown from the device is read anew as the server is there again.
  useEffect(() => {
    let wasLost = reachNow().lost;
    return onReachChange(() => {
      const { lost } = reachNow();
      if (wasLost && !lost) dispatch(api.util.invalidateTags([...ALL_TAGS]));
      wasLost = lost;
    });
  }, [dispatch]);
  useAsking();
  useInstalled();
  useDaysAhead();
  return null;
}

/** What another person has just fed is seen before it can be fed twice: nothing is read beside it. */
const isFirst = (tag: Stale) => tag === 'round';

/** Read again what is less urgent, once others have come to rest. */
function useLater(): (stale: readonly Stale[]) => void {
  const dispatch = useAppDispatch();
  const { later, stop } = useMemo(
    () => gathered<Stale>((stale) => dispatch(api.util.invalidateTags([...stale])), LATER),
    [dispatch],
  );
  useEffect(() => stop, [stop]);
  return later;
}

/** As long as the server is out of reach it is asked for now and then, and as the network is back. */
function useAsking(): void {
  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined;
    const ask = () => void sendQuietly('getHealth', {}, ASK_MS);
    const follow = () => {
      clearInterval(timer);
      if (reachNow().lost) timer = setInterval(ask, ASK_MS);
    };
    follow();
    const quiet = onReachChange(follow);
    window.addEventListener('online', ask);
    window.addEventListener('offline', ask);
    return () => {
      quiet();
      clearInterval(timer);
      window.removeEventListener('online', ask);
      window.removeEventListener('offline', ask);
    };
  }, []);
}

/** The app on the device, once the first screen has come to rest; and what waits sent without a page. */
function useInstalled(): void {
  useEffect(() => {
    const begin = setTimeout(() => void install().catch(() => undefined), INSTALL_MS);
    let quiet: (() => void) | undefined;
    void openHere().then((here) => {
      quiet = here.onChange(() => {
        if (reachNow().lost && here.kept().length > 0) void sendInBackground();
      });
    });
    return () => {
      clearTimeout(begin);
      quiet?.();
    };
  }, []);
}

/** What the pages of cultures, broods and water show, beside what the Round has read already. */
const WITHOUT_A_SIGNAL = [
  'getCultureKinds',
  'getStrategies',
  'listVessels',
  'listBroods',
  'listWaters',
  'listRecipes',
  'getSupply',
  'getProposals',
] as const;

const rest = () => new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));

/** The rounds of the coming days, for a cellar without a signal: read one after the other, in no hurry. */
function useDaysAhead(): void {
  const today = useToday();
  const hand = useHand();
  useEffect(() => {
    let stopped = false;
    const read = async () => {
      const query = hand === null ? {} : { hand };
      for (const list of WITHOUT_A_SIGNAL) {
        if (stopped || reachNow().lost) return;
        await call(list);
        await rest();
      }
      for (let ahead = 1; ahead < DAYS_AHEAD && !stopped && !reachNow().lost; ahead += 1) {
        await rest();
        const day = addDays(today, ahead);
        await call('getRound', { params: { day }, query });
        await call('getPreparations', { params: { day }, query });
      }
      await (await openHere()).dropOldAnswers();
    };
    const begin = setTimeout(() => void read(), 10_000);
    return () => {
      stopped = true;
      clearTimeout(begin);
    };
  }, [today, hand]);
}
