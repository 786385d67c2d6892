import type { BroodEventCreate, Problem } from '@open-larder/contract';
import { api, useHand, useNow } from '../store';
import { useSay, faultsOf, type Faults } from '../ui';
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
 * Say that something happened to a brood, with a way back.
 * @returns what is wrong by field, or null where it is written
 */
export function useBroodEvent(): (
  broodId: string,
  event: Said,
  says: string,
) => Promise<Faults | null> {
  const say = useSay();
  const now = useNow();
  const hand = useHand();
  const [add] = api.useAddBroodEventMutation();
  const [undo] = api.useUndoBroodEventMutation();
  return async (broodId, event, says) => {
    const said = { day: now.day, note: '', tubId: null, ...event };
    const stamp = stampFor('brood', broodId, said);
    const body = { ...said, ...stamp, hand } as BroodEventCreate;
    const done = await add({ params: { id: broodId }, body });
    if (done.error) {
      const { errors, title, detail } = done.error as Problem;
      say(errors ? title : detail, { tone: 'fault' });
      return faultsOf(done.error as Problem);
    }
    say(says, {
      undo: () =>
        void undo({ params: { id: stamp.id }, body: stampFor('undo', stamp.id) }).then((answer) => {
          if (answer.error) say((answer.error as Problem).detail, { tone: 'fault' });
        }),
    });
    return null;
  };
}
