import { Pressable, View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Labelled } from './Labelled';
import { Text } from './Text';

export interface Option<V> {
  value: V;
  label: string;
  /** Said in place of the label, for short ones such as «M». */
  spoken?: string;
}

interface Base<V> {
  label: string;
  options: readonly Option<V>[];
  hint?: string;
  fieldError?: string;
}

interface One<V> extends Base<V> {
  value: V;
  onChange: (value: V) => void;
}

/** One of a few, all in sight. */
export function Choice<V extends string | number>({ value, onChange, ...base }: One<V>) {
  return <Chips {...base} role="radio" isOn={(option) => option === value} onToggle={onChange} />;
}

interface Many<V> extends Base<V> {
  value: readonly V[];
  onChange: (value: V[]) => void;
}

/** Any of a few, all in sight, kept in the order of the options. */
export function Choices<V extends string | number>({ value, onChange, ...base }: Many<V>) {
  const toggle = (option: V) =>
    onChange(
      base.options
        .map((one) => one.value)
        .filter((one) => (one === option ? !value.includes(one) : value.includes(one))),
    );
  return (
    <Chips {...base} role="checkbox" isOn={(option) => value.includes(option)} onToggle={toggle} />
  );
}

interface ChipsProps<V> extends Base<V> {
  role: 'radio' | 'checkbox';
  isOn: (value: V) => boolean;
  onToggle: (value: V) => void;
}

function Chips<V extends string | number>({
  label,
  options,
  hint,
  fieldError,
  role,
  isOn,
  onToggle,
}: ChipsProps<V>) {
  const styles = useStyles();
  return (
    <Labelled label={label} hint={hint} fieldError={fieldError}>
      <View style={styles.row} role={role === 'radio' ? 'radiogroup' : 'group'} aria-label={label}>
        {options.map((option) => {
          const on = isOn(option.value);
          return (
            <Pressable
              key={option.value}
              role={role}
              aria-checked={on}
              aria-label={option.spoken ?? option.label}
              onPress={() => onToggle(option.value)}
              style={[styles.chip, on && styles.on]}
            >
              <Text variant={on ? 'strong' : 'body'}>{option.label}</Text>
            </Pressable>
          );
        })}
      </View>
    </Labelled>
  );
}

const useStyles = themed((c) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  chip: {
    maxWidth: '100%',
    minHeight: SIZES.touch,
    minWidth: SIZES.touch,
    paddingHorizontal: 12,
    justifyContent: 'center',
    alignItems: 'center',
    borderRadius: SIZES.radius,
    borderWidth: 1,
    borderColor: c.rule,
    backgroundColor: c.paper,
  },
  on: { borderColor: c.ink, borderWidth: 2, backgroundColor: c.waterDeep },
}));
