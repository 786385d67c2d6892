import type { CultureKind } from '@open-larder/catalogue/cultures';
import { CLARITIES, type Clarity, type Density as DensityScore } from '@open-larder/core/culture';
import { Pressable, View } from 'react-native';
import { Density } from '../draw/Density';
import { speckOf } from '../draw/specks';
import { SIZES, themed } from '../theme';
import { Choice, ErrorLine, Text } from '../ui';
import { CLARITY_WORDS, DENSITY_WORDS } from './labels';

const SCORES = [1, 2, 3, 4, 5] as const;

/** Five drawn densities of a culture: which of them it looks like. Pressed again, none. */
export function DensityChoice({
  kind,
  value,
  fieldError,
  onChange,
}: {
  kind: CultureKind;
  value: DensityScore | null;
  fieldError?: string;
  onChange: (density: DensityScore | null) => void;
}) {
  const styles = useStyles();
  return (
    <View style={{ gap: 4 }}>
      <View style={styles.row} role="radiogroup" aria-label="How dense it looks">
        {SCORES.map((score) => (
          <Pressable
            key={score}
            role="radio"
            aria-checked={value === score}
            aria-label={DENSITY_WORDS[score]}
            onPress={() => onChange(value === score ? null : score)}
            style={[styles.drop, value === score && styles.on]}
          >
            <Density speck={speckOf(kind)} density={score} />
            <Text variant="small" align="center" tone={value === score ? 'ink' : 'quiet'}>
              {DENSITY_WORDS[score]}
            </Text>
          </Pressable>
        ))}
      </View>
      {fieldError ? <ErrorLine fieldError={fieldError} /> : null}
    </View>
  );
}

/** How the water of a culture looks; nothing for what is not kept in water. */
export function ClarityChoice({
  kind,
  value,
  onChange,
}: {
  kind: CultureKind;
  value: Clarity | null;
  onChange: (clarity: Clarity | null) => void;
}) {
  if (kind.measure !== 'L') return null;
  return (
    <Choice
      label="Its water"
      value={value ?? ''}
      options={[
        { value: '', label: 'did not look' },
        ...CLARITIES.map((one) => ({ value: one, label: CLARITY_WORDS[one] })),
      ]}
      onChange={(chosen) => onChange(chosen === '' ? null : (chosen as Clarity))}
    />
  );
}

const useStyles = themed((c) => ({
  row: { flexDirection: 'row', gap: 6 },
  drop: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch + 34,
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingVertical: 6,
    borderWidth: 1,
    borderRadius: SIZES.radius,
    borderColor: c.rule,
    backgroundColor: c.paper,
  },
  on: { borderColor: c.ink, backgroundColor: c.waterDeep },
}));
