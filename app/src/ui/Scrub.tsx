import { createElement, type ChangeEvent } from 'react';
import { SIZES, useColours, useThemeName } from '../theme';

interface Props {
  label: string;
  /** Where it stands, said in words. */
  says: string;
  value: number;
  max: number;
  onChange: (value: number) => void;
}

/** A bar to draw along, or to move by the arrow keys: the browser's own, in our colours. */
export function Scrub({ label, says, value, max, onChange }: Props) {
  const colours = useColours();
  const theme = useThemeName();
  return createElement('input', {
    type: 'range',
    'aria-label': label,
    'aria-valuetext': says,
    min: 0,
    max: max,
    step: 1,
    value,
    onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(Number(event.target.value)),
    style: {
      flex: 1,
      height: SIZES.touch,
      margin: 0,
      accentColor: colours.brine,
      // Without it the rest of the bar glares white when the lamp is off.
      colorScheme: theme === 'lamp' ? 'dark' : 'light',
    },
  });
}
