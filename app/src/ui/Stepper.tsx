import { formatNumber } from '@open-larder/say';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { Pressable, View } from 'react-native';
import { SIZES, themed, useColours } from '../theme';
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
  const shown = format ? format(value) : formatNumber(value, 2);
  const change = (by: number) =>
    onChange(Math.min(max, Math.max(min, Math.round((value + by) * 1e6) / 1e6)));
  return (
    <Labelled label={label} hint={hint} fieldError={fieldError}>
      <View
        style={styles.row}
        role="spinbutton"
        aria-label={label}
        aria-valuenow={value}
        aria-valuetext={shown}
        aria-valuemin={min}
        aria-valuemax={max}
      >
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
        <View style={styles.value}>
          <Text variant="figure" align="center">
            {shown}
          </Text>
        </View>
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
}));
