import type { Chore, ChoreCreate, Problem, RoundView } from '@open-larder/contract';
import { api, useAppDispatch, useHand } from '../store';
import { useToast } from '../ui';
import { stampFor } from '../store/intent';

/** Say that something of the round was done, or take it back: shown at once, undone if refused. */
export function useChores({ day }: Pick<RoundView, 'day'>) {
  const dispatch = useAppDispatch();
  const toast = useToast();
  const hand = useHand();
  const [log] = api.useLogChoreMutation();
  const [takeBack] = api.useUndoChoreMutation();
  const show = (change: (done: Chore[]) => Chore[]) =>
    dispatch(
      api.util.updateQueryData('round', { day, hand }, (round: RoundView) => {
        round.done = change(round.done);
      }),
    );
  const undo = async (chore: Chore) => {
    const shown = show((done) => done.filter((one) => one.id !== chore.id));
    const body = stampFor('undo', chore.id);
    const answer = await takeBack({ params: { id: chore.id }, body });
    if (answer.error) {
      shown.undo();
      toast((answer.error as Problem).detail, { tone: 'error' });
    }
  };
  return {
    undo,
    async log(kind: ChoreCreate['kind'], about: string, what: string) {
      const stamp = stampFor('chore', kind, about, day);
      const body: ChoreCreate = { ...stamp, kind, about, day, hand };
      const shown = show((done) => [...done, body]);
      const answer = await log({ body });
      if (answer.error) {
        shown.undo();
        toast((answer.error as Problem).detail, { tone: 'error' });
        return;
      }
      const standing = answer.data;
      toast(`${what}: done.`, { undo: () => void undo(standing) });
    },
  };
}
