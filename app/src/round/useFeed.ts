import type {
  Feeding,
  FeedingCreate,
  Outcome,
  Problem,
  RoundServingView,
  RoundView,
} from '@open-larder/contract';
import { sayUnits } from '@open-larder/core/food';
import { v7 as uuidv7 } from 'uuid';
import { api, useAppDispatch, useHand } from '../store';
import { useSay } from '../ui';

interface Deal {
  outcome: Outcome;
  units: number;
  note: string;
}

const asPlanned = (serving: RoundServingView): Deal => ({
  outcome: 'served',
  units: serving.units,
  note: '',
});

/** Log and undo servings: shown at once, taken back if the server refuses, undo always. */
export function useFeed(day: string) {
  const dispatch = useAppDispatch();
  const say = useSay();
  const hand = useHand();
  const [log] = api.useLogFeedingMutation();
  const [undo] = api.useUndoFeedingMutation();

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

  const takeBack = async (fed: Feeding) => {
    const shown = show(fed.servingId, null);
    const answer = await undo({
      params: { id: fed.id },
      body: { id: uuidv7(), at: new Date().toISOString() },
    });
    if (answer.error) {
      shown.undo();
      say((answer.error as Problem).detail, { tone: 'fault' });
    }
  };

  const write = async (serving: RoundServingView, deal: Deal): Promise<Feeding | null> => {
    const body: FeedingCreate = {
      id: uuidv7(),
      servingId: serving.servingId,
      day,
      groupId: serving.groupId,
      foodId: serving.foodId,
      plannedUnits: serving.units,
      hand,
      at: new Date().toISOString(),
      ...deal,
    };
    const shown = show(serving.servingId, { ...body, massG: deal.units * serving.unit.massG });
    const answer = await log({ body });
    if (answer.error) {
      shown.undo();
      say((answer.error as Problem).detail, { tone: 'fault' });
      return null;
    }
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
