import type { BroodEventCreate, Problem } from '@open-larder/contract';
import { api, useHand, useNow } from '../store';
import { useToast, fieldErrorsOf, type FieldErrors } from '../ui';
import { stampFor } from '../store/intent';

export type Said = BroodEventCreate extends infer E
  ? E extends BroodEventCreate
    ? Omit<E, 'id' | 'day' | 'at' | 'hand' | 'note' | 'tubId'> & {
        note?: string;
        day?: string;
        tubId?: string | null;
      }
    : never
  : never;

/**
 * Say that something happened to a brood, or the same thing in several of its tubs, with one way back.
 * @returns what is wrong by field, or null where it is written
 */
export function useBroodEvent(): (
  broodId: string,
  events: Said | readonly Said[],
  says: string,
) => Promise<FieldErrors | null> {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [add] = api.useAddBroodEventMutation();
  const [undo] = api.useUndoBroodEventMutation();
  const takeBack = async (ids: readonly string[]) => {
    for (const id of ids) {
      const answer = await undo({ params: { id }, body: stampFor('undo', id) });
      if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    }
  };
  return async (broodId, events, says) => {
    const written: string[] = [];
    for (const event of [events].flat() as Said[]) {
      const said = { day: now.day, note: '', tubId: null, ...event };
      const stamp = stampFor('brood', broodId, said);
      const body = { ...said, ...stamp, hand } as BroodEventCreate;
      const done = await add({ params: { id: broodId }, body });
      if (done.error) {
        const { errors, title, detail } = done.error as Problem;
        toast(errors ? title : detail, { tone: 'error' });
        return fieldErrorsOf(done.error as Problem);
      }
      written.push(stamp.id);
    }
    toast(says, { undo: () => void takeBack(written) });
    return null;
  };
}
