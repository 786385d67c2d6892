import type { PlanEdit } from '@open-larder/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { forget, recall, remember } from '../store/memory';

/** A plan that is being edited, and the way back and forth. */
export interface Draft {
  past: PlanEdit[];
  now: PlanEdit;
  future: PlanEdit[];
}

/** Steps that can be taken back. */
const MAX_PAST = 100;
const placeOf = (tankId: string) => `draft.week.${tankId}`;

/** What a draft was before the page was loaded anew, if it still is a plan. */
export function keptDraft(tankId: string): PlanEdit | null {
  const kept = recall<PlanEdit>(placeOf(tankId));
  return kept && Array.isArray(kept.diets) && Array.isArray(kept.fasts) ? kept : null;
}

/** Plans being edited, by tank. They stay on the device until they are saved or dropped. */
const drafts = createSlice({
  name: 'planDrafts',
  initialState: {} as Record<string, Draft>,
  reducers: {
    planEdited(
      state,
      { payload }: PayloadAction<{ tankId: string; from: PlanEdit; to: PlanEdit }>,
    ) {
      const { tankId, from, to } = payload;
      const draft = state[tankId] ?? { past: [], now: from, future: [] };
      draft.past = [...draft.past, draft.now].slice(-MAX_PAST);
      draft.now = to;
      draft.future = [];
      state[tankId] = draft;
      remember(placeOf(tankId), to);
    },
    planUndone(state, { payload: tankId }: PayloadAction<string>) {
      const draft = state[tankId];
      const before = draft?.past.pop();
      if (!draft || !before) return;
      draft.future.unshift(draft.now);
      draft.now = before;
      remember(placeOf(tankId), before);
    },
    planRedone(state, { payload: tankId }: PayloadAction<string>) {
      const draft = state[tankId];
      const after = draft?.future.shift();
      if (!draft || !after) return;
      draft.past.push(draft.now);
      draft.now = after;
      remember(placeOf(tankId), after);
    },
    /** Saved, or given up. */
    planDropped(state, { payload: tankId }: PayloadAction<string>) {
      delete state[tankId];
      forget(placeOf(tankId));
    },
  },
});

export const { planEdited, planUndone, planRedone, planDropped } = drafts.actions;
export const draftsReducer = drafts.reducer;
