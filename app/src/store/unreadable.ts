import type { RouteName, Unreadable } from '@open-larder/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What of each list could not be read when it was last fetched. */
const unreadable = createSlice({
  name: 'unreadable',
  initialState: {} as Partial<Record<RouteName, Unreadable[]>>,
  reducers: {
    listRead(state, { payload }: PayloadAction<{ name: RouteName; rows: Unreadable[] }>) {
      if (payload.rows.length > 0) state[payload.name] = payload.rows;
      else delete state[payload.name];
    },
  },
});

export const { listRead } = unreadable.actions;
export const unreadableReducer = unreadable.reducer;
