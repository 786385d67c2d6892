import type { Problem, WaterEventCreate } from '@open-larder/contract';
import { api, useHand, useNow } from '../store';
import { fieldErrorsOf, useToast, type FieldErrors } from '../ui';
import { stampFor } from '../store/intent';

export type Said = WaterEventCreate extends infer E
  ? E extends WaterEventCreate
    ? Partial<Omit<E, 'id' | 'at' | 'hand' | 'kind'>> & Pick<E, 'kind'>
    : never
  : never;

/**
 * Say that water was tested, changed or filled up, with a way back.
 * @returns what is wrong by field, or null where it is written
 */
export function useWaterEvent(): (
  tankId: string,
  event: Said,
  says: string,
) => Promise<FieldErrors | null> {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [add] = api.useAddWaterEventMutation();
  const takeBack = useWaterUndo();
  return async (tankId, event, says) => {
    const said = { day: now.day, note: '', ...event };
    const stamp = stampFor('water', tankId, said);
    const body = { ...said, ...stamp, hand } as WaterEventCreate;
    const done = await add({ params: { id: tankId }, body });
    if (done.error) {
      const { errors, title, detail } = done.error as Problem;
      toast(errors ? title : detail, { tone: 'error' });
      return fieldErrorsOf(done.error as Problem);
    }
    toast(says, { undo: () => void takeBack(stamp.id) });
    return null;
  };
}

/** Take a test or a change back. @returns whether it is done */
export function useWaterUndo(): (id: string) => Promise<boolean> {
  const toast = useToast();
  const [undo] = api.useUndoWaterEventMutation();
  return async (id) => {
    const answer = await undo({ params: { id }, body: stampFor('undo', id) });
    if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    return !answer.error;
  };
}
