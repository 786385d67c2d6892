import type { PlanEdit, Problem } from '@open-larder/contract';
import { houseOf } from '@open-larder/contract/house';
import { weekTaskOf, type WeekRows } from '@open-larder/contract/week';
import type { WeekTask } from '@open-larder/core/week';
import { useEffect, useMemo, useState } from 'react';
import { api, useAppDispatch, useAppSelector, useHand, type AppData } from '../store';
import { useToast } from '../ui';
import { draftOf, drafted, fitted, rebased, sameDraft, toSend } from './draft';
import { keptDraft, planDropped, planEdited, planRedone, planUndone } from './slice';

/** A tank's plan on the board: as it is saved, as it is being edited, and what it comes to. */
export interface Board {
  draft: PlanEdit;
  saved: PlanEdit;
  /** With the draft put in. */
  rows: WeekRows;
  task: WeekTask;
  dirty: boolean;
  undo: (() => void) | null;
  /** Take back the edit before, for a line that offers it just after. */
  undoLast: () => void;
  redo: (() => void) | null;
  edit: (change: (draft: PlanEdit) => PlanEdit) => void;
  discard: () => void;
  saving: boolean;
  save: () => Promise<void>;
  /** Someone else saved in between. */
  stale: Problem | null;
  keepMine: () => Promise<void>;
  takeTheirs: () => void;
}

/** @param tankId a tank of the house */
export function useBoard(data: AppData, tankId: string, day: string): Board {
  const dispatch = useAppDispatch();
  const toast = useToast();
  const hand = useHand();
  const [send, { isLoading: saving }] = api.useEditPlanMutation();
  const [stale, setStale] = useState<Problem | null>(null);
  const tank = data.tanks.find((one) => one.id === tankId)!;
  const groups = data.groupsIn.get(tankId) ?? NO_GROUPS;
  const learned = api.useLearnedQuery(tankId).data?.groups;
  const saved = useMemo(() => draftOf(tank, groups), [tank, groups]);
  const written = useAppSelector((state) => state.planDrafts[tankId]);
  const [before, setBefore] = useState(tankId);
  if (before !== tankId) {
    setBefore(tankId);
    setStale(null);
  }
  useEffect(() => {
    if (written) return;
    const kept = keptDraft(tankId);
    if (kept && !sameDraft(fitted(kept, saved), saved)) {
      dispatch(planEdited({ tankId, from: saved, to: fitted(kept, saved) }));
    }
    // Only when a tank is opened: what is edited after that is kept as it goes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [tankId]);
  const draft = useMemo(() => (written ? fitted(written.now, saved) : saved), [written, saved]);
  const dirty = useMemo(() => !sameDraft(draft, saved), [draft, saved]);
  const rows = useMemo((): WeekRows => {
    const after = drafted(draft, tank, groups, day);
    const others = data.groups.filter((group) => group.tankId !== tankId);
    const house = houseOf({
      household: data.household,
      moments: data.moments,
      tanks: data.tanks.map((one) => (one.id === tankId ? after.tank : one)),
      groups: [...others, ...after.groups],
      foods: data.foods,
      species: data.species,
      day,
      hand,
    });
    return {
      ...after,
      foods: data.foods,
      species: data.species,
      house,
      learned,
      moments: data.moments,
    };
  }, [draft, tank, groups, data, tankId, hand, learned, day]);
  const task = useMemo(() => weekTaskOf(rows, day), [rows, day]);
  const put = async (edit: PlanEdit, over: PlanEdit) => {
    const answer = await send({ params: { id: tankId }, body: toSend(edit, over) });
    if (!answer.error) {
      setStale(null);
      dispatch(planDropped(tankId));
      toast(`The plan of ${tank.name} is saved; the Round follows it from today.`);
      return;
    }
    const problem = answer.error as Problem;
    if (problem.type === 'urn:open-larder:stale') setStale(problem);
    else {
      const [fieldError] = problem.errors ?? [];
      toast(fieldError?.message ?? problem.detail, { tone: 'error' });
    }
  };
  return {
    draft,
    saved,
    rows,
    task,
    dirty,
    undo: written && written.past.length > 0 ? () => void dispatch(planUndone(tankId)) : null,
    undoLast: () => void dispatch(planUndone(tankId)),
    redo: written && written.future.length > 0 ? () => void dispatch(planRedone(tankId)) : null,
    edit: (change) => void dispatch(planEdited({ tankId, from: draft, to: change(draft) })),
    discard: () => {
      dispatch(planDropped(tankId));
      toast('The changes are dropped.', {
        undo: () => void dispatch(planEdited({ tankId, from: saved, to: draft })),
      });
    },
    saving,
    save: () => put(draft, saved),
    stale,
    keepMine: () => put(rebased(draft, saved), saved),
    takeTheirs: () => {
      setStale(null);
      dispatch(planDropped(tankId));
    },
  };
}

const NO_GROUPS: never[] = [];
