import type { BodyOf, MealInWater, Problem } from '@open-larder/contract';
import { api } from '../store';
import { stampFor } from '../store/intent';
import { useToast } from '../ui';
import type { DropInWater } from './inWater';
import { useInWater } from './useInWater';

/** What became of some of a meal. */
export interface MealEnd {
  clearedMin: number | null;
  left: number | null;
  unwatched: boolean;
}

/**
 * Say what became of foods of a meal: shown at once, taken back where the server refuses, undo always.
 * @returns what takes it back; null where it was refused
 */
export function useMealEnd(meal: MealInWater) {
  const toast = useToast();
  const inWater = useInWater();
  const [add] = api.useAddSightingMutation();
  const [undo] = api.useUndoSightingMutation();
  return async (
    drops: readonly DropInWater[],
    seen: MealEnd,
    text: string | null,
  ): Promise<(() => void) | null> => {
    const keys = drops.map(({ key }) => key);
    const { tankId, day, momentId } = meal;
    const body: BodyOf<'addSighting'> = {
      // What is in the water is known by when it went in: the same food served again is another intent.
      id: stampFor('meal', tankId, day, momentId, keys, drops[0]?.at, seen.left, seen.unwatched).id,
      day,
      momentId,
      came: [],
      drops: meal.drops.map(({ at: _, ended: __, ...drop }) => drop),
      dropKeys: keys,
      ...seen,
    };
    inWater.end(meal, keys, true);
    const done = await add({ params: { id: tankId }, body });
    if (done.error) {
      inWater.end(meal, keys, false);
      toast((done.error as Problem).detail, { tone: 'error' });
      return null;
    }
    const takeBack = () => {
      inWater.end(meal, keys, false);
      void undo({ params: { id: body.id }, body: stampFor('undo', body.id) });
    };
    if (text !== null) toast(text, { undo: takeBack });
    return takeBack;
  };
}
