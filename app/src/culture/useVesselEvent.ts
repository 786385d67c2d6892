import type { Problem, VesselEventCreate } from '@open-larder/contract';
import { api, useHand, useNow } from '../store';
import { useToast } from '../ui';
import { stampFor } from '../store/intent';

type Said = VesselEventCreate extends infer E
  ? E extends VesselEventCreate
    ? Omit<E, 'id' | 'day' | 'at' | 'hand' | 'note'> & { note?: string; day?: string }
    : never
  : never;

/** Say that something happened to a vessel, with a way back. */
export function useVesselEvent(): (
  vesselId: string,
  event: Said,
  says: string,
) => Promise<boolean> {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [add] = api.useAddVesselEventMutation();
  const [undo] = api.useUndoVesselEventMutation();
  return async (vesselId, event, says) => {
    const said = { day: now.day, note: '', ...event };
    const stamp = stampFor('vessel', vesselId, said);
    const body = { ...said, ...stamp, hand } as VesselEventCreate;
    const done = await add({ params: { id: vesselId }, body });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return false;
    }
    toast(says, {
      undo: () =>
        void undo({ params: { id: stamp.id }, body: stampFor('undo', stamp.id) }).then((answer) => {
          if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
        }),
    });
    return true;
  };
}
