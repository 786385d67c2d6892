import type { Present } from '@open-larder/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { PAGE } from './page';

/** Who else has the Round open now. */
const present = createSlice({
  name: 'present',
  initialState: [] as readonly Present[],
  reducers: {
    othersSeen: (_, { payload }: PayloadAction<readonly Present[]>) =>
      payload.filter(({ page }) => page !== PAGE),
  },
});

export const { othersSeen } = present.actions;
export const presentReducer = present.reducer;
