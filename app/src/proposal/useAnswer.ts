import type {
  Group,
  PortionsProposed,
  Problem,
  TrainingProposed,
  TrainingRow,
  WaterProposed,
} from '@open-larder/contract';
import { api, useHand, useNow } from '../store';
import { lowerFirst, useToast } from '../ui';
import { formatChange, formatRhythm } from './labels';
import { stampFor } from '../store/intent';

/** Done, not wanted, or not now. */
export type Said = 'yes' | 'no' | 'later';

const HOW: Record<Said, { accepted: boolean; later: boolean }> = {
  yes: { accepted: true, later: false },
  no: { accepted: false, later: false },
  later: { accepted: false, later: true },
};
const again = (said: Said) =>
  said === 'later' ? 'asked again in a week' : 'not asked again for four weeks';

/** Answers to what is proposed, and the life of a training; each with a way back. */
export function useAnswer() {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [send] = api.useAnswerProposalMutation();
  const [undo] = api.useUndoAnswerMutation();
  const [begin] = api.useBeginTrainingMutation();
  const [end] = api.useEndTrainingMutation();
  const [editDiet] = api.useEditDietMutation();
  const stamped = (...meant: readonly unknown[]) => ({ ...stampFor(...meant), hand });
  /** Whether it went well; what went wrong is said. */
  const well = (done: { error?: unknown }): boolean => {
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    return !done.error;
  };
  const takeBack = async (id: string) => {
    well(await undo({ params: { id }, body: stampFor('undo', id) }));
  };

  const startTraining = async (
    { groupId, servingId, foodId }: Pick<TrainingProposed, 'groupId' | 'servingId' | 'foodId'>,
    fromStep = 1,
  ): Promise<string | null> => {
    const said = { groupId, servingId, foodId, day: now.day, fromStep };
    const body = { ...said, ...stamped('training', said) };
    return well(await begin({ body })) ? body.id : null;
  };
  const stopTraining = async (id: string, kept: boolean): Promise<Group | null> => {
    const done = await end({
      params: { id },
      body: { ...stamped('training ends', id, kept), kept },
    });
    return well(done) ? (done.data as Group) : null;
  };

  return {
    async portions({ groupId, version, groupName, change }: PortionsProposed, said: Said) {
      const stamp = stamped('portions', groupId, version, said);
      const body = { ...stamp, ...HOW[said], groupId, tankId: null, version };
      if (!well(await send({ body: { ...body, kind: 'portions', foodId: null } }))) return;
      toast(
        said === 'yes'
          ? `${groupName} get ${formatChange(change)} from now on.`
          : `${groupName} stay as they are; ${again(said)}.`,
        { undo: () => void takeBack(body.id) },
      );
    },
    async water({ tankId, tankName, version, after }: WaterProposed, said: Said) {
      const stamp = stamped('water rhythm', tankId, version, said);
      const body = { ...stamp, ...HOW[said], groupId: null, tankId, version };
      if (!well(await send({ body: { ...body, kind: 'water', foodId: null } }))) return;
      toast(
        said === 'yes'
          ? `${tankName}: ${formatRhythm(after)} from now on.`
          : `The water of ${tankName} is changed as it was; ${again(said)}.`,
        { undo: () => void takeBack(body.id) },
      );
    },
    async declineTraining(
      { groupId, foodId, groupName }: TrainingProposed,
      version: number,
      said: 'no' | 'later',
    ) {
      const stamp = stamped('no training', groupId, foodId, version, said);
      const body = { ...stamp, ...HOW[said], groupId, tankId: null, foodId, version };
      if (!well(await send({ body: { ...body, kind: 'training' } }))) return;
      toast(`${groupName} are not trained; ${again(said)}.`, {
        undo: () => void takeBack(body.id),
      });
    },
    async begin(wanted: Pick<TrainingProposed, 'groupId' | 'servingId' | 'foodId'>, names: string) {
      const id = await startTraining(wanted);
      if (id === null) return false;
      toast(`${names}: the mixed meal is on the round.`, {
        undo: () => void stopTraining(id, false),
      });
      return true;
    },
    /** End it as it was before; «undo» goes on at the step where it was. */
    async stop(group: Group, training: TrainingRow) {
      if (!(await stopTraining(training.id, false))) return;
      toast(`${group.name}: the training has ended.`, {
        undo: () => void startTraining({ ...training, groupId: group.id }, training.step),
      });
    },
    /** End it with the new food in the diet. */
    async keep(group: Group, training: TrainingRow, foodName: string) {
      const before = group.diet;
      const after = await stopTraining(training.id, true);
      if (!after) return;
      toast(`${group.name} have ${lowerFirst(foodName)} in their diet now.`, {
        undo: async () => {
          if (!before || !after.diet) return;
          const { validFrom: _, ...diet } = before;
          const body = { ...diet, version: after.diet.version };
          if (!well(await editDiet({ params: { id: group.id }, body }))) return;
          await startTraining({ ...training, groupId: group.id }, training.step);
        },
      });
    },
  };
}
