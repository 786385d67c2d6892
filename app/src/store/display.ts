import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ThemeName } from '../theme/tokens';
import { recall, remember } from './memory';

const PLACE = 'display';

interface Display {
  theme: ThemeName;
  /** Who turns the lamp theme on: a hand, or the lights of the tanks. */
  lampBy: 'hand' | 'lights';
  /** Larger words everywhere. */
  large: boolean;
  /** Which hand taps: what is tapped most stands under its thumb. */
  thumb: 'right' | 'left';
  /** The screen stays on while the Round is open. */
  awake: boolean;
  /** Whose hand feeds from this device; null is nobody's in particular. */
  hand: string | null;
}

const USUAL: Display = {
  theme: 'lit',
  lampBy: 'hand',
  large: false,
  thumb: 'right',
  awake: false,
  hand: null,
};

/** What was chosen on this device before; what can no longer be read is as usual. */
function remembered(): Display {
  const { theme, lampBy, large, thumb, awake, hand } = recall<Partial<Display>>(PLACE) ?? {};
  return {
    theme: theme === 'lamp' ? 'lamp' : USUAL.theme,
    lampBy: lampBy === 'lights' ? 'lights' : USUAL.lampBy,
    large: large === true,
    thumb: thumb === 'left' ? 'left' : USUAL.thumb,
    awake: awake === true,
    hand: typeof hand === 'string' ? hand : USUAL.hand,
  };
}

/** How this device shows things; it stays on the device. */
const display = createSlice({
  name: 'display',
  initialState: remembered,
  reducers: {
    /** A hand turned the lamp on or off: from then on the lights do not. */
    themeChosen(state, { payload }: PayloadAction<ThemeName>) {
      Object.assign(state, { theme: payload, lampBy: 'hand' });
      remember(PLACE, { ...state });
    },
    /** The lights of the tanks went on or off. */
    themeFollowed(state, { payload }: PayloadAction<ThemeName>) {
      if (state.lampBy === 'lights') state.theme = payload;
    },
    displayChosen(state, { payload }: PayloadAction<Partial<Display>>) {
      Object.assign(state, payload);
      remember(PLACE, { ...state });
    },
  },
});

export const { themeChosen, themeFollowed, displayChosen } = display.actions;
export const displayReducer = display.reducer;
