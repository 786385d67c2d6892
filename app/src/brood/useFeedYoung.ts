import type { BroodRow, Feeding, FeedingCreate, Problem } from '@open-larder/contract';
import { api, useAppDispatch, useHand, useNow } from '../store';
import { stampFor } from '../store/intent';
import { useToast } from '../ui';
import type { FryServingRow } from './fryMeals';

export type Given = Pick<FeedingCreate, 'outcome' | 'units'>;

/**
 * Log what young in tubs are given, several tubs in one tap: shown at once, taken back if the server
 * refuses, undo always.
 */
export function useFeedYoung() {
  const dispatch = useAppDispatch();
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [log] = api.useLogFeedingMutation();
  const [undo] = api.useUndoFeedingMutation();
  const settle = () => dispatch(api.util.invalidateTags(['brood', 'food', 'supply', 'records']));

  const show = (broodId: string, servingId: string, fed: Feeding | null) =>
    dispatch(
      api.util.updateQueryData('broods', undefined, (broods: BroodRow[]) => {
        const meals = broods.find(({ id }) => id === broodId)?.meals ?? [];
        for (const serving of meals.flatMap(({ servings }) => servings)) {
          if (serving.servingId === servingId) serving.fed = fed;
        }
      }),
    );

  const takeBack = async (fed: readonly Feeding[]) => {
    for (const one of fed) {
      const shown = show(one.broodId!, one.servingId, null);
      const answer = await undo({ params: { id: one.id }, body: stampFor('undo', one.id) });
      if (answer.error) {
        shown.undo();
        toast((answer.error as Problem).detail, { tone: 'error' });
      }
    }
    settle();
  };

  const write = async (
    broodId: string,
    { servingId, tubId, foodId, units, unit }: FryServingRow & { foodId: string },
    given: Given,
  ): Promise<Feeding | null> => {
    const body: FeedingCreate = {
      ...stampFor('feed', now.day, servingId, hand, given),
      servingId,
      day: now.day,
      groupId: null,
      broodId,
      tubId,
      foodId,
      plannedUnits: units,
      note: '',
      hand,
      ...given,
    };
    const shown = show(broodId, servingId, { ...body, massG: given.units * unit.massG });
    const answer = await log({ body });
    if (!answer.error) return answer.data.feeding;
    shown.undo();
    toast((answer.error as Problem).detail, { tone: 'error' });
    return null;
  };

  return {
    takeBack,
    /** @param outcome null is what is planned */
    async feed(
      broodId: string,
      servings: readonly (FryServingRow & { foodId: string })[],
      says: string,
      given: Given | null = null,
    ) {
      const inTurn = (async () => {
        const written: Feeding[] = [];
        for (const serving of servings) {
          const planned: Given = { outcome: 'served', units: serving.units };
          const fed = await write(broodId, serving, given ?? planned);
          if (fed) written.push(fed);
        }
        return written;
      })();
      toast(says, { undo: () => void inTurn.then(takeBack) });
      await inTurn;
      settle();
    },
  };
}
