import { vesselEvent, type BodyOf } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { formatUnits } from '@open-larder/say';
import { EVENT_WORDS } from '../brood/labels';
import { formatEvent as formatVesselEvent } from '../culture/labels';
import { api, useFormat, useHand, useHousehold } from '../store';
import { localNow } from '../store/useNow';
import type { Act } from './act';
import { rowOf } from './histories';

const WATER_WORDS = { tested: 'Water tested', changed: 'Water changed', filledUp: 'Filled up' };

interface Words {
  title: string;
  /** Who or where it is for. */
  about: string;
  /** «Today 18:34» in the household’s clock. */
  at: string;
}

/** What an act is, in the words of the screen on which it was done. */
export function useActWords(): (act: Act) => Words {
  const format = useFormat();
  const hand = useHand();
  const zone = useHousehold()?.timeZone ?? 'UTC';
  const { data: foods = [] } = api.useFoodsQuery();
  const { data: groups = [] } = api.useGroupsQuery();
  const { data: tanks = [] } = api.useTanksQuery();
  const { data: vessels = [] } = api.useVesselsQuery();
  const { data: broods = [] } = api.useBroodsQuery();
  const nameIn = (rows: readonly { id: string; name: string }[], id: string | null | undefined) =>
    rows.find((row) => row.id === id)?.name ?? '';
  const titled = ({ route, params, body }: Act): Omit<Words, 'at'> => {
    switch (route) {
      case 'logFeeding': {
        const fed = body as BodyOf<'logFeeding'>;
        const food = foods.find(({ id }) => id === fed.foodId);
        const name = food?.name ?? 'A serving';
        return {
          title:
            fed.outcome === 'skipped'
              ? `${name}: skipped`
              : food
                ? `${formatUnits(fed.units, unitOf(food, hand))} ${name}`
                : name,
          about: nameIn(groups, fed.groupId) || nameIn(broods, fed.broodId),
        };
      }
      case 'logChore':
        return { title: 'Prepared', about: nameIn(foods, chosenFood(body)) };
      case 'addLooks': {
        const { looks } = body as BodyOf<'addLooks'>;
        return {
          title: 'How they looked',
          about: looks.map(({ groupId }) => nameIn(groups, groupId)).join(', '),
        };
      }
      case 'addSighting':
        return { title: 'What became of a meal', about: nameIn(tanks, params?.id) };
      case 'addWaterEvent':
        return {
          title: WATER_WORDS[(body as BodyOf<'addWaterEvent'>).kind],
          about: nameIn(tanks, params?.id),
        };
      case 'addVesselEvent':
        return {
          title: formatVesselEvent(rowOf(vesselEvent, body), format),
          about: nameIn(vessels, params?.id),
        };
      case 'addBroodEvent':
        return {
          title: EVENT_WORDS[(body as BodyOf<'addBroodEvent'>).kind],
          about: nameIn(broods, params?.id),
        };
      case 'countLot':
        return {
          title: 'Counted',
          about: foods.find(({ lots }) => lots.some(({ id }) => id === params?.id))?.name ?? '',
        };
      case 'addWeighing':
        return { title: 'Weighed in', about: nameIn(foods, params?.id) };
      case 'addRating': {
        const { foodId, groupId } = body as BodyOf<'addRating'>;
        return { title: `${nameIn(foods, foodId)} rated`, about: nameIn(groups, groupId) };
      }
      default:
        return { title: 'Taken back', about: '' };
    }
  };
  return (act) => {
    const done = localNow(new Date(act.deviceMs + act.aheadMs), zone);
    return { ...titled(act), at: `${format.day(done.day)} ${format.time(done.minutes)}` };
  };
}

/** A preparation is named by its food and its minute. */
const chosenFood = (body: Act['body']) => (body as BodyOf<'logChore'>).about.split(' ')[0];
