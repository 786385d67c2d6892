import type {
  Feeding,
  FeedingCreate,
  Outcome,
  Problem,
  RoundServingView,
  RoundView,
} from '@open-larder/contract';
import { sayUnits } from '@open-larder/core/food';
import { PLAIN } from '@open-larder/core/round';
import { api, useAppDispatch, useHand, type HouseData } from '../store';
import { localNow } from '../store/useNow';
import { useSay } from '../ui';
import { useSettle } from './useSettle';
import { dropTakenBack, dropWatched } from './watched';
import { nowMs } from '../store/clock';
import { stampFor } from '../store/intent';

const UNSEEN = { selectFromResult: () => ({}) };

export interface Deal {
  outcome: Outcome;
  units: number;
  note: string;
}

const asPlanned = (serving: RoundServingView): Deal => ({
  outcome: 'served',
  units: serving.units,
  note: '',
});

/**
 * Log and undo servings: shown at once, taken back if the server refuses, undo always. What goes in
 * is watched from then on.
 * @param onFedAlready someone else logged this serving in between
 */
export function useFeed(
  day: string,
  house: { round: RoundView; data: HouseData } | null,
  onFedAlready: (serving: RoundServingView, fed: Feeding) => void,
) {
  const dispatch = useAppDispatch();
  const say = useSay();
  const hand = useHand();
  const settle = useSettle();
  // Nothing here follows how far they are: the round is not drawn anew for it.
  const [log] = api.useLogFeedingMutation(UNSEEN);
  const [undo] = api.useUndoFeedingMutation(UNSEEN);

  /** Show a serving as fed (or not) before the server has answered. */
  const show = (servingId: string, fed: Feeding | null) =>
    dispatch(
      api.util.updateQueryData('round', { day, hand }, (round: RoundView) => {
        for (const serving of servingsOf(round)) {
          if (serving.servingId === servingId) serving.fed = fed;
        }
        if (fed === null) {
          round.unplanned = round.unplanned.filter((one) => one.servingId !== servingId);
        }
      }),
    );

  /** Watch what went in, since the tap. */
  const watch = ({ servingId, groupId, foodId }: RoundServingView, massG: number) => {
    const place = house && placeOf(house.round, servingId);
    if (!place || massG <= 0) return;
    const { household, groups } = house.data;
    const group = groups.find((one) => one.id === groupId);
    const { training } = group ?? {};
    const plannedId = training?.id === servingId ? training.servingId : servingId;
    const planned = group?.diet?.servings.find((one) => one.id === plannedId);
    const since = nowMs();
    const { day: today, minutes: atMin } = localNow(new Date(since), household.timeZone);
    // What is logged afterwards went in at an hour that nobody knows.
    if (day !== today) return;
    dispatch(
      dropWatched({
        ...place,
        day,
        since,
        drop: {
          key: servingId,
          foodId,
          groupId,
          atMin,
          massG,
          zone: planned?.zone ?? 'surface',
          place: planned?.place ?? '',
          manner: planned?.manner ?? PLAIN,
        },
      }),
    );
  };

  const takeBack = async (fed: Feeding) => {
    const shown = show(fed.servingId, null);
    dispatch(dropTakenBack({ day, key: fed.servingId }));
    const answer = await undo({ params: { id: fed.id }, body: stampFor('undo', fed.id) });
    if (answer.error) {
      shown.undo();
      say((answer.error as Problem).detail, { tone: 'fault' });
      settle.now();
    } else settle.soon();
  };

  const write = async (serving: RoundServingView, deal: Deal): Promise<Feeding | null> => {
    const body: FeedingCreate = {
      ...stampFor('feed', day, serving.servingId, hand, deal),
      servingId: serving.servingId,
      day,
      groupId: serving.groupId,
      foodId: serving.foodId,
      plannedUnits: serving.units,
      hand,
      ...deal,
    };
    const massG = deal.units * serving.unit.massG;
    const shown = show(serving.servingId, { ...body, massG });
    if (deal.outcome !== 'refused') watch(serving, massG);
    const answer = await log({ body });
    if (answer.error) {
      shown.undo();
      dispatch(dropTakenBack({ day, key: serving.servingId }));
      settle.now();
      const problem = answer.error as Problem;
      if (problem.status === 409 && problem.theirs) {
        onFedAlready(serving, problem.theirs as Feeding);
      } else {
        say(problem.detail, { tone: 'fault' });
      }
      return null;
    }
    settle.soon();
    if (deal.outcome === 'refused') dispatch(api.util.invalidateTags(['proposal']));
    if (answer.data.shortG > 0) {
      say(`Logged. The shelf had too little ${serving.foodName}: count it in the larder.`);
    }
    return answer.data.feeding;
  };

  return {
    takeBack,
    /** Log one serving. */
    async feed(serving: RoundServingView, deal: Deal = asPlanned(serving)) {
      say(sayDeal(serving, deal), {
        undo: () => void written.then((fed) => fed && takeBack(fed)),
      });
      const written = write(serving, deal);
      await written;
    },
    /** Feed once more what was fed already: logged beside the plan, and shown so. */
    async again(serving: RoundServingView) {
      const deal: Deal = { outcome: 'more', units: serving.units, note: 'fed again' };
      const { id: servingId } = stampFor('again', day, serving.servingId);
      const extra = { ...serving, servingId };
      const fed = await write(extra, deal);
      if (!fed) return;
      say(`${serving.portion} ${serving.foodName} for ${serving.groupName}: fed again.`, {
        undo: () => void takeBack(fed),
      });
    },
    /** Log several as planned, one after the other, so that each draws on its own. */
    async feedAll(servings: readonly RoundServingView[], what: string) {
      const fed: Promise<Feeding | null>[] = [];
      say(`${what}: ${servings.length} served as planned.`, {
        undo: () => fed.forEach((one) => void one.then((done) => done && takeBack(done))),
      });
      for (const serving of servings) {
        fed.push(write(serving, asPlanned(serving)));
        await fed.at(-1);
      }
    },
  };
}

export const servingsOf = (round: RoundView): RoundServingView[] =>
  round.moments.flatMap((moment) => moment.stops.flatMap((stop) => stop.servings));

/** Where a serving stands in the round. */
function placeOf(round: RoundView, servingId: string) {
  for (const { momentId, stops } of round.moments) {
    const stop = stops.find((one) => one.servings.some((each) => each.servingId === servingId));
    if (stop) return { momentId, tankId: stop.tankId };
  }
  return null;
}

function sayDeal(serving: RoundServingView, { outcome, units }: Deal): string {
  const amount = sayUnits(units, serving.unit);
  switch (outcome) {
    case 'skipped':
      return `${serving.foodName} for ${serving.groupName} is skipped.`;
    case 'refused':
      return `${amount} ${serving.foodName} were refused.`;
    default:
      return `${amount} ${serving.foodName} for ${serving.groupName}: ${outcome}.`;
  }
}
