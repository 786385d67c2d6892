import type {
  Feeding,
  FeedingCreate,
  FoodRow,
  Outcome,
  Problem,
  RoundServingView,
  RoundView,
} from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { formatUnits } from '@open-larder/say';
import { feedingDay, PLAIN } from '@open-larder/core/round';
import { api, useAppDispatch, useHand, type AppData } from '../store';
import { localNow } from '../store/useNow';
import { useToast } from '../ui';
import type { Besides } from './BesidesSheet';
import { useInWater } from './useInWater';
import { useSettle } from './useSettle';
import { keepFirst } from '../store/call';
import { nowMs } from '../store/clock';
import { stampFor } from '../store/intent';

const UNSEEN = { selectFromResult: () => ({}) };

export interface ServedPortion {
  outcome: Outcome;
  units: number;
  note: string;
}

/** What was logged, and the food of which the shelf had too little. */
interface Written {
  feeding: Feeding;
  short: string | null;
}

const asPlanned = (serving: RoundServingView): ServedPortion => ({
  outcome: 'served',
  units: serving.units,
  note: '',
});

/**
 * Log and undo servings: shown at once, taken back if the server refuses, undo always. What goes in
 * is timed from then on.
 * @param onFedAlready someone else logged this serving in between
 */
export function useFeed(
  day: string,
  house: { round: RoundView; data: AppData } | null,
  onFedAlready: (serving: RoundServingView, fed: Feeding) => void,
) {
  const dispatch = useAppDispatch();
  const toast = useToast();
  const hand = useHand();
  const settle = useSettle();
  const inWater = useInWater();
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

  /** What went in is timed since the tap. */
  const time = ({ servingId, groupId, foodId }: Fed, massG: number, beside: Place | null) => {
    const place = beside ?? (house && placeOf(house.round, servingId));
    if (!house || !place || massG <= 0) return;
    const { household, groups } = house.data;
    const group = groups.find((one) => one.id === groupId);
    const { training } = group ?? {};
    const plannedId = training?.id === servingId ? training.servingId : servingId;
    const planned = group?.diet?.servings.find((one) => one.id === plannedId);
    const at = new Date(nowMs());
    const { day: today, minutes: atMin } = feedingDay(
      house.data.house,
      localNow(at, household.timeZone),
    );
    // What is logged afterwards went in at an hour that is not known.
    if (day !== today) return;
    inWater.put(
      { ...place, day },
      {
        key: servingId,
        foodId,
        groupId,
        atMin,
        massG,
        zone: planned?.zone ?? 'surface',
        place: planned?.place ?? '',
        manner: planned?.manner ?? PLAIN,
        at: at.toISOString(),
        ended: false,
      },
    );
  };

  const takeBack = async (fed: Feeding) => {
    const shown = show(fed.servingId, null);
    inWater.take(day, fed.servingId);
    const answer = await undo({ params: { id: fed.id }, body: stampFor('undo', fed.id) });
    if (answer.error) {
      shown.undo();
      toast((answer.error as Problem).detail, { tone: 'error' });
      settle.now();
    } else settle.soon();
  };

  const write = async (
    serving: Fed,
    portion: ServedPortion,
    beside: Place | null = null,
  ): Promise<Written | null> => {
    const body: FeedingCreate = {
      ...stampFor('feed', day, serving.servingId, hand, portion),
      servingId: serving.servingId,
      day,
      groupId: serving.groupId,
      broodId: null,
      tubId: null,
      foodId: serving.foodId,
      plannedUnits: serving.units,
      hand,
      ...portion,
    };
    const massG = portion.units * serving.unit.massG;
    // On the device first: from here on it is not lost, whatever becomes of the page.
    await keepFirst('logFeeding', { body }).catch(() => undefined);
    const shown = show(serving.servingId, { ...body, massG });
    if (portion.outcome !== 'refused') time(serving, massG, beside);
    const answer = await log({ body });
    if (answer.error) {
      shown.undo();
      inWater.take(day, serving.servingId);
      settle.now();
      const problem = answer.error as Problem;
      if (problem.status === 409 && problem.theirs) {
        onFedAlready(serving as RoundServingView, problem.theirs as Feeding);
      } else {
        toast(problem.detail, { tone: 'error' });
      }
      return null;
    }
    settle.soon();
    if (portion.outcome === 'refused') dispatch(api.util.invalidateTags(['proposal']));
    return {
      feeding: answer.data.feeding,
      short: answer.data.shortG > 0 ? serving.foodName : null,
    };
  };

  /**
   * Say at the tap what is served, with its undo; what the shelf turned out to be short of is added to
   * the same sentence, so that neither takes the place of the other.
   */
  const toastServed = (text: string, written: Promise<readonly (Written | null)[]>) => {
    const back = () =>
      void written.then((all) => all.forEach((one) => one && void takeBack(one.feeding)));
    toast(text, { undo: back });
    void written.then((all) => {
      const short = [...new Set(all.flatMap((one) => one?.short ?? []))];
      if (short.length > 0 && all.every((one) => one)) {
        toast(`${text} The shelf had too little ${short.join(' and ')}: count it in the larder.`, {
          undo: back,
        });
      }
    });
  };

  return {
    takeBack,
    /** Log one serving. */
    async feed(serving: RoundServingView, portion: ServedPortion = asPlanned(serving)) {
      const written = Promise.all([write(serving, portion)]);
      toastServed(formatPortion(serving, portion), written);
      await written;
    },
    /** Feed once more what was fed already: logged beside the plan, and shown so. */
    async again(serving: RoundServingView) {
      const portion: ServedPortion = { outcome: 'more', units: serving.units, note: 'fed again' };
      const { id: servingId } = stampFor('again', day, serving.servingId);
      const extra = { ...serving, servingId };
      const fed = await write(extra, portion);
      if (!fed) return;
      const text = `${serving.portion} ${serving.foodName} for ${serving.groupName}: fed again.`;
      toastServed(text, Promise.resolve([fed]));
    },
    /** Another food in the place of a planned one, for this day only: both are written, and go back together. */
    async swap(serving: RoundServingView, food: FoodRow, units: number) {
      const { id: servingId } = stampFor('swap', day, serving.servingId, food.id);
      const unit = unitOf(food, hand);
      const other = {
        ...serving,
        unit: unit as typeof serving.unit,
        servingId,
        foodId: food.id,
        foodName: food.name,
        units,
      };
      const left: ServedPortion = { outcome: 'skipped', units: 0, note: `${food.name} instead` };
      const given: ServedPortion = { outcome: 'more', units, note: `for ${serving.foodName}` };
      const written = (async () => [await write(serving, left), await write(other, given)])();
      toastServed(
        `${formatUnits(units, unit)} ${food.name} for ${serving.groupName}, in place of ${serving.foodName}.`,
        written,
      );
      await written;
    },
    /** Something more than was planned, where a tank is looked at. */
    async besides({ group, food, units }: Besides, place: Place) {
      const unit = unitOf(food, hand);
      const { id: servingId } = stampFor('besides', day, group.id, food.id, units);
      const serving = {
        servingId,
        groupId: group.id,
        groupName: group.name,
        foodId: food.id,
        foodName: food.name,
        units: 0,
        unit,
      };
      const written = (async () => [
        await write(serving, { outcome: 'more', units, note: 'besides the plan' }, place),
      ])();
      toastServed(`${formatUnits(units, unit)} ${food.name} for ${group.name}, besides.`, written);
      await written;
      settle.now();
    },
    /** Log several as planned, one after the other, so that each draws on its own. */
    async feedAll(servings: readonly RoundServingView[], what: string) {
      const inTurn = async () => {
        const all: (Written | null)[] = [];
        for (const serving of servings) all.push(await write(serving, asPlanned(serving)));
        return all;
      };
      const written = inTurn();
      toastServed(`${what}: ${servings.length} served as planned.`, written);
      await written;
    },
  };
}

/** What of a serving is written. */
type Fed = Pick<RoundServingView, 'servingId' | 'groupId' | 'foodId' | 'foodName' | 'units'> & {
  unit: { massG: number };
};

interface Place {
  momentId: string;
  tankId: string;
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

function formatPortion(serving: RoundServingView, { outcome, units }: ServedPortion): string {
  const amount = formatUnits(units, serving.unit);
  switch (outcome) {
    case 'skipped':
      return `${serving.foodName} for ${serving.groupName} is skipped.`;
    case 'refused':
      return `${amount} ${serving.foodName} were refused.`;
    default:
      return `${amount} ${serving.foodName} for ${serving.groupName}: ${outcome}.`;
  }
}
