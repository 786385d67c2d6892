import { displayChosen, themeChosen, useAppDispatch, useAppSelector } from '../store';
import { Choice } from '../ui';
import { HandChoice } from './HandChoice';

/** How this device shows things: light, size of words, thumb, and whose hand feeds. */
export function DeviceChoices() {
  const display = useAppSelector((state) => state.display);
  const dispatch = useAppDispatch();
  const lamp = display.lampBy === 'lights' ? 'lights' : display.theme;
  return (
    <>
      <Choice
        label="Light of the screen"
        value={lamp}
        onChange={(chosen) =>
          dispatch(chosen === 'lights' ? displayChosen({ lampBy: 'lights' }) : themeChosen(chosen))
        }
        options={[
          { value: 'lit', label: 'Lit' },
          { value: 'lamp', label: 'Lamp off' },
          { value: 'lights', label: 'With the tanks’ lights' },
        ]}
        hint="With the tanks’ lights it is dim and amber while most of them are dark."
      />
      <Choice
        label="Words"
        value={display.large ? 'large' : 'usual'}
        onChange={(size) => dispatch(displayChosen({ large: size === 'large' }))}
        options={[
          { value: 'usual', label: 'As usual' },
          { value: 'large', label: 'Large' },
        ]}
      />
      <Choice
        label="Thumb that taps"
        value={display.thumb}
        onChange={(thumb) => dispatch(displayChosen({ thumb }))}
        options={[
          { value: 'right', label: 'Right' },
          { value: 'left', label: 'Left' },
        ]}
        hint="The buttons of a round are on its side."
      />
      <Choice
        label="While the Round is open, the screen"
        value={display.awake ? 'awake' : 'usual'}
        onChange={(how) => dispatch(displayChosen({ awake: how === 'awake' }))}
        options={[
          { value: 'usual', label: 'goes off as usual' },
          { value: 'awake', label: 'stays on' },
        ]}
      />
      <HandChoice />
    </>
  );
}
