import { TextInput, View, type TextInputProps } from 'react-native';
import { FONTS, SIZES, themed } from '../theme';
import { Labelled } from './Labelled';
import { Text } from './Text';

interface Props {
  label: string;
  value: string;
  onChange: (value: string) => void;
  onBlur?: () => void;
  hint?: string;
  fieldError?: string;
  /** Shown behind the input: «cm», «°C». */
  unit?: string;
  keyboard?: TextInputProps['inputMode'];
  placeholder?: string;
  /** More than one line, for pasted text. */
  lines?: number;
  /** Letters are hidden, or offered by the browser’s keeper of passwords. */
  fill?: 'name' | 'password' | 'newPassword';
  /** The return key of the keyboard. */
  onSubmit?: () => void;
}

const FILL = {
  name: 'username',
  password: 'current-password',
  newPassword: 'new-password',
} as const;

/** A line of text. */
export function Field({
  label,
  value,
  onChange,
  onBlur,
  hint,
  fieldError,
  unit,
  keyboard = 'text',
  placeholder,
  lines,
  fill,
  onSubmit,
}: Props) {
  const styles = useStyles();
  return (
    <Labelled label={unit ? `${label}, ${unit}` : label} hint={hint} fieldError={fieldError}>
      <View style={[styles.frame, fieldError ? styles.wrong : null]}>
        <TextInput
          aria-label={unit ? `${label}, ${unit}` : label}
          aria-invalid={fieldError !== undefined}
          value={value}
          onChangeText={onChange}
          onBlur={onBlur}
          inputMode={keyboard}
          placeholder={placeholder}
          placeholderTextColor={styles.ghost.color}
          multiline={lines !== undefined}
          numberOfLines={lines}
          spellCheck={lines === undefined && fill === undefined}
          secureTextEntry={fill === 'password' || fill === 'newPassword'}
          autoComplete={fill && FILL[fill]}
          autoCapitalize={fill ? 'none' : undefined}
          onSubmitEditing={onSubmit}
          style={[styles.input, lines !== undefined && styles.lines]}
        />
        {unit ? (
          <View style={styles.unit}>
            <Text variant="small" tone="quiet" aria-hidden>
              {unit}
            </Text>
          </View>
        ) : null}
      </View>
    </Labelled>
  );
}

const useStyles = themed((c) => ({
  frame: {
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    backgroundColor: c.paper,
    borderColor: c.ink2,
    borderWidth: 1,
    borderRadius: SIZES.radius,
  },
  wrong: { borderColor: c.roe, borderWidth: 2 },
  input: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch - 2,
    paddingHorizontal: 12,
    color: c.ink,
    fontFamily: FONTS.text,
    fontSize: 17,
    borderRadius: SIZES.radius,
  },
  lines: { paddingVertical: 10, fontSize: 15, lineHeight: 22 },
  unit: { paddingRight: 12 },
  ghost: { color: c.ink2 },
}));
