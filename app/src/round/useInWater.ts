import type { MealInWater, RoundView } from '@open-larder/contract';
import { useMemo } from 'react';
import { api, useAppDispatch } from '../store';
import { putIn, setEnded, takeOut, type DropInWater, type MealPlace } from './inWater';

/**
 * Show what is in the water before the server has answered, in every round that is at hand: whatever
 * day is looked at, the water is the same.
 */
export function useInWater() {
  const dispatch = useAppDispatch();
  return useMemo(() => {
    const inEach = (change: (round: RoundView) => void) =>
      dispatch((act, state) => {
        for (const args of api.util.selectCachedArgsForQuery(state(), 'round')) {
          act(api.util.updateQueryData('round', args, change));
        }
      });
    return {
      put: (place: MealPlace, drop: DropInWater) => inEach((round) => putIn(round, place, drop)),
      take: (day: string, key: string) => inEach((round) => takeOut(round, day, key)),
      end: (meal: MealInWater, keys: readonly string[], ended: boolean) =>
        inEach((round) => setEnded(round, meal, keys, ended)),
    };
  }, [dispatch]);
}
