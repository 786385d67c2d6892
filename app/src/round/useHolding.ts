import type { Group, Problem } from '@open-larder/contract';
import { api } from '../store';
import { stampFor } from '../store/intent';
import { useToast } from '../ui';

/**
 * One of a group holds eggs in her mouth and eats nothing: a group of her own that fasts, so that the
 * others are not fed for her. Where she is alone, her group does.
 */
export function useHolding(day: string) {
  const toast = useToast();
  const [split] = api.useSplitGroupMutation();
  const [merge] = api.useMergeGroupMutation();
  const [add] = api.useAddGroupEventMutation();
  const [withdraw] = api.useWithdrawGroupEventMutation();
  const well = (done: { error?: unknown }): boolean => {
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    return !done.error;
  };
  const alone = async (group: Group) => {
    const { id } = stampFor('holding', group.id, day);
    const body = { id, kind: 'staged', stage: 'brooding', day, note: '' } as const;
    if (!well(await add({ params: { id: group.id }, body }))) return false;
    toast(`${group.name} fasts while she holds. Note her stage when the young are out.`, {
      undo: () =>
        void withdraw({
          params: { id },
          body: { id: stampFor('undo', id).id, replacement: null },
        }),
    });
    return true;
  };
  return async (group: Group): Promise<boolean> => {
    if (group.size.total <= 1) return alone(group);
    const { id } = stampFor('holding', group.id, day, group.size.total);
    const one = group.size.females > 0 ? { females: 1, unsexed: 0 } : { females: 0, unsexed: 1 };
    const body = {
      id,
      name: `${group.name}, holding`.slice(0, 60),
      tankId: group.tankId,
      day,
      males: 0,
      ...one,
      apart: false,
      stage: 'brooding' as const,
      note: 'holding eggs',
    };
    if (!well(await split({ params: { id: group.id }, body }))) return false;
    toast(`One fasts while she holds; ${group.name} get food for one less.`, {
      undo: () =>
        void merge({
          params: { id },
          body: { id: stampFor('undo', id).id, intoGroupId: group.id, day, note: '' },
        }),
    });
    return true;
  };
}
