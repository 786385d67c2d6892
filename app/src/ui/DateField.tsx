import { createElement } from 'react';
import { Platform, StyleSheet } from 'react-native';
import { FONTS, SIZES, useColours } from '../theme';
import { Field } from './Field';
import { Labelled } from './Labelled';

interface Props {
  label: string;
  /** YYYY-MM-DD, or null for none. */
  value: string | null;
  onChange: (day: string | null) => void;
  fieldError?: string;
  hint?: string;
}

/** A day: the platform's own calendar in a browser, typed elsewhere. */
export function DateField({ label, value, onChange, fieldError, hint }: Props) {
  const colours = useColours();
  if (Platform.OS !== 'web') {
    return (
      <Field
        label={label}
        value={value ?? ''}
        onChange={(text) => onChange(text === '' ? null : text)}
        fieldError={fieldError}
        hint={hint}
        placeholder="2026-01-31"
      />
    );
  }
  return (
    <Labelled label={label} fieldError={fieldError} hint={hint}>
      {createElement('input', {
        type: 'date',
        'aria-label': label,
        'aria-invalid': fieldError !== undefined,
        value: value ?? '',
        onChange: (event: { target: { value: string } }) => onChange(event.target.value || null),
        style: StyleSheet.flatten([
          styles.input,
          {
            backgroundColor: colours.paper,
            color: colours.ink,
            borderColor: fieldError ? colours.roe : colours.ink2,
          },
        ]),
      })}
    </Labelled>
  );
}

const styles = StyleSheet.create({
  input: {
    height: SIZES.touch,
    boxSizing: 'border-box',
    width: '100%',
    paddingLeft: 12,
    paddingRight: 12,
    borderWidth: 1,
    borderStyle: 'solid',
    borderRadius: SIZES.radius,
    fontFamily: FONTS.text,
    fontSize: 17,
  },
});
