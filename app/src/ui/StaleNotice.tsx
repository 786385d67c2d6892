import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Button } from './Button';
import { Text } from './Text';
import type { Stale } from './useSave';

interface Props<T> {
  /** Nothing is shown where there is none. */
  stale: Stale | null;
  /** Names of the fields that are worth comparing. */
  fields: Record<string, string>;
  /** Where in what is saved those fields stand; in the whole of it where this is left out. */
  within?: (version: T) => object;
  /** Send the form again. */
  onKeepMine: () => void;
  onTakeTheirs: (theirs: T) => void;
}

/** Someone saved in between: both versions beside each other, and the keeper decides. */
export function StaleNotice<T>({ stale, fields, within, onKeepMine, onTakeTheirs }: Props<T>) {
  const styles = useStyles();
  if (!stale) return null;
  const { problem, keepMine, clear } = stale;
  const variant = (version: unknown) =>
    (version ? (within?.(version as T) ?? version) : {}) as Record<string, unknown>;
  const yours = variant(problem.yours);
  const theirs = variant(problem.theirs);
  const differing = Object.keys(fields).filter(
    (key) => JSON.stringify(yours[key]) !== JSON.stringify(theirs[key]),
  );
  return (
    <View style={styles.box} role="alert">
      <Text variant="strong">{problem.title}</Text>
      <Text>{problem.detail}</Text>
      {differing.map((key) => (
        <Text key={key} variant="small">
          {fields[key]}: yours {show(yours[key])}, theirs {show(theirs[key])}
        </Text>
      ))}
      <View style={styles.acts}>
        <Button
          label="Keep mine"
          onPress={() => {
            keepMine();
            onKeepMine();
          }}
        />
        <Button
          label="Take theirs"
          onPress={() => {
            onTakeTheirs(problem.theirs as T);
            clear();
          }}
        />
      </View>
    </View>
  );
}

function show(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  if (Array.isArray(value)) return `${value.length} entries`;
  if (typeof value === 'object') return Object.values(value).map(show).join(' · ');
  return String(value);
}

const useStyles = themed((c) => ({
  box: {
    gap: 8,
    padding: SIZES.gutter,
    backgroundColor: c.paper,
    borderWidth: 2,
    borderColor: c.roe,
    borderRadius: SIZES.radius,
  },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
}));
