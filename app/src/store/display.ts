import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ThemeName } from '../theme/tokens';
import { recall, remember } from './memory';

const PLACE = 'display';

interface Display {
  theme: ThemeName;
  /** Whose hand feeds from this device; null is nobody's in particular. */
  hand: string | null;
}

const remembered = recall<Partial<Display>>(PLACE);

/** How this device shows things; it stays on the device. */
const display = createSlice({
  name: 'display',
  initialState: {
    theme: remembered?.theme === 'lamp' ? 'lamp' : 'lit',
    hand: typeof remembered?.hand === 'string' ? remembered.hand : null,
  } as Display,
  reducers: {
    themeChosen(state, { payload }: PayloadAction<ThemeName>) {
      state.theme = payload;
      remember(PLACE, { ...state });
    },
    handChosen(state, { payload }: PayloadAction<string | null>) {
      state.hand = payload;
      remember(PLACE, { ...state });
    },
  },
});

export const { themeChosen, handChosen } = display.actions;
export const displayReducer = display.reducer;
