import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Toast {
  id: number;
  text: string;
  tone: 'done' | 'error';
  /** Name of an undo that the screen has registered; see ui/undo. */
  undo?: string;
}

const toast = createSlice({
  name: 'toast',
  initialState: { shown: null as Toast | null, count: 0 },
  reducers: {
    said(state, { payload }: PayloadAction<Omit<Toast, 'id'>>) {
      state.count += 1;
      state.shown = { ...payload, id: state.count };
    },
    dismissed(state, { payload }: PayloadAction<number>) {
      if (state.shown?.id === payload) state.shown = null;
    },
  },
});

export const { said, dismissed } = toast.actions;
export const toastReducer = toast.reducer;
