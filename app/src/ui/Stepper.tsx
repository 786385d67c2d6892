import { formatNumber } from '@open-larder/say';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { FONTS, SIZES, themed, useColours } from '../theme';
import { Labelled } from './Labelled';
import { Text } from './Text';

interface Props {
  label: string;
  value: number;
  step: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
  /** How the value reads: «1¼ tablets». */
  format?: (value: number) => string;
  hint?: string;
  fieldError?: string;
}

/** An amount changed by steps, for a wet thumb. */
export function Stepper({
  label,
  value,
  step,
  min,
  max,
  onChange,
  format,
  hint,
  fieldError,
}: Props) {
  const styles = useStyles();
  const colours = useColours();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = format ? format(value) : formatNumber(value, 2);
  const change = (by: number) => {
    setTyped(null);
    onChange(Math.min(max, Math.max(min, Math.round((value + by) * 1e6) / 1e6)));
  };
  // Whole things are typed as well: forty fish are not forty taps.
  const counts = format === undefined && Number.isInteger(step);
  const type = (text: string) => {
    const digits = text.replace(/\D/g, '').slice(0, 6);
    setTyped(digits);
    if (digits !== '') onChange(Math.min(max, Math.max(min, Number(digits))));
  };
  const says = counts
    ? { role: 'group' as const, 'aria-label': label }
    : {
        role: 'spinbutton' as const,
        'aria-label': label,
        'aria-valuenow': value,
        'aria-valuetext': shown,
        'aria-valuemin': min,
        'aria-valuemax': max,
      };
  return (
    <Labelled label={label} hint={hint} fieldError={fieldError}>
      <View style={styles.row} {...says}>
        <Pressable
          role="button"
          aria-label={`Less: ${label}`}
          aria-disabled={value <= min}
          disabled={value <= min}
          onPress={() => change(-step)}
          style={[styles.button, value <= min && styles.dim]}
        >
          <Minus size={24} color={colours.ink} />
        </Pressable>
        {counts ? (
          <TextInput
            aria-label={`${label}, typed`}
            value={typed ?? shown}
            onChangeText={type}
            onBlur={() => setTyped(null)}
            inputMode="numeric"
            selectTextOnFocus
            style={[styles.value, styles.input]}
          />
        ) : (
          <View style={styles.value}>
            <Text variant="figure" align="center">
              {shown}
            </Text>
          </View>
        )}
        <Pressable
          role="button"
          aria-label={`More: ${label}`}
          aria-disabled={value >= max}
          disabled={value >= max}
          onPress={() => change(step)}
          style={[styles.button, value >= max && styles.dim]}
        >
          <Plus size={24} color={colours.ink} />
        </Pressable>
      </View>
    </Labelled>
  );
}

const useStyles = themed((c) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  button: {
    width: SIZES.serve,
    height: SIZES.serve,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    borderColor: c.ink,
    borderRadius: SIZES.radius,
    backgroundColor: c.paper,
  },
  dim: { opacity: 0.4 },
  value: { flex: 1, minWidth: 90 },
  input: {
    minHeight: SIZES.touch,
    textAlign: 'center',
    color: c.ink,
    fontFamily: FONTS.strong,
    fontSize: 20,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    backgroundColor: c.paper,
  },
}));
