import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ThemeName } from '../theme/tokens';
import { recall, remember } from './memory';

const PLACE = 'display';

interface Display {
  theme: ThemeName;
}

const remembered = recall<Partial<Display>>(PLACE);

/** How this device shows things; it stays on the device. */
const display = createSlice({
  name: 'display',
  initialState: { theme: remembered?.theme === 'lamp' ? 'lamp' : 'lit' } as Display,
  reducers: {
    themeChosen(state, { payload }: PayloadAction<ThemeName>) {
      state.theme = payload;
      remember(PLACE, { theme: payload });
    },
  },
});

export const { themeChosen } = display.actions;
export const displayReducer = display.reducer;
