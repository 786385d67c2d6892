import { act, fireEvent, screen } from '@testing-library/react-native';
import { StyleSheet } from 'react-native';
import { answers, tank } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { kept } from '../testing/storage';
import { displayReducer } from '../store/display';
import { displayChosen, themeChosen, themeFollowed } from '../store';
import { mostAreDark } from '../shell/dark';
import { Text } from '../ui';
import { DeviceChoices } from './DeviceChoices';

const fresh = () => displayReducer(undefined, { type: 'start' });

describe('how a device shows things', () => {
  it('is kept on the device, and what cannot be read is as usual', () => {
    const state = displayReducer(
      fresh(),
      displayChosen({ large: true, thumb: 'left', awake: true, hand: 'Ada' }),
    );
    expect(fresh()).toEqual(state);
    kept.set('open-larder.display', JSON.stringify({ theme: 7, large: 'yes', thumb: 'third' }));
    expect(fresh()).toEqual({
      theme: 'lit',
      lampBy: 'hand',
      large: false,
      thumb: 'right',
      awake: false,
      hand: null,
    });
  });

  it('follows the lights only while it is told to: a hand has the last word', () => {
    let state = displayReducer(fresh(), themeFollowed('lamp'));
    expect(state.theme).toBe('lit');
    state = displayReducer(state, displayChosen({ lampBy: 'lights' }));
    state = displayReducer(state, themeFollowed('lamp'));
    expect(state).toMatchObject({ theme: 'lamp', lampBy: 'lights' });
    state = displayReducer(state, themeChosen('lit'));
    expect(displayReducer(state, themeFollowed('lamp'))).toMatchObject({
      theme: 'lit',
      lampBy: 'hand',
    });
  });

  it('is chosen in the settings', async () => {
    standIn(answers());
    const { store } = show(<DeviceChoices />);
    fireEvent.press(screen.getByLabelText('With the tanks’ lights'));
    fireEvent.press(screen.getByLabelText('Large'));
    fireEvent.press(screen.getByLabelText('Left'));
    fireEvent.press(screen.getByLabelText('stays on'));
    expect(store.getState().display).toMatchObject({
      lampBy: 'lights',
      large: true,
      thumb: 'left',
      awake: true,
    });
    fireEvent.press(screen.getByLabelText('Lit'));
    expect(store.getState().display).toMatchObject({ lampBy: 'hand', theme: 'lit' });
  });

  it('makes all words larger by a quarter', () => {
    const { store } = show(<Text variant="small">a word</Text>);
    const size = () => StyleSheet.flatten(screen.getByText('a word').props.style).fontSize;
    expect(size()).toBe(14);
    act(() => {
      store.dispatch(displayChosen({ large: true }));
    });
    expect(size()).toBe(17.5);
  });
});

describe('dark tanks', () => {
  const lights = (lightOnMin: number, lightOffMin: number, archived = false) => ({
    ...tank,
    lightOnMin,
    lightOffMin,
    archived,
  });
  it('are counted by their own light hours, past midnight too', () => {
    const day = lights(600, 1200);
    const late = lights(960, 60);
    expect(mostAreDark([day], 599)).toBe(true);
    expect(mostAreDark([day], 600)).toBe(false);
    expect(mostAreDark([day], 1200)).toBe(true);
    expect(mostAreDark([late], 30)).toBe(false);
    expect(mostAreDark([late], 60)).toBe(true);
    expect(mostAreDark([late], 959)).toBe(true);
  });

  it('decide where they are more than half', () => {
    const dark = lights(0, 0);
    const lit = lights(0, 1439);
    expect(mostAreDark([dark, lit], 700)).toBe(false);
    expect(mostAreDark([dark, dark, lit], 700)).toBe(true);
    expect(mostAreDark([{ ...dark, archived: true }, lit], 700)).toBe(false);
    expect(mostAreDark([], 700)).toBe(false);
  });
});
