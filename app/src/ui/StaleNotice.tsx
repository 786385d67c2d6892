import type { Problem } from '@open-larder/contract';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Button } from './Button';
import { Text } from './Text';

interface Props {
  problem: Problem;
  /** Names of the fields that are worth comparing. */
  fields: Record<string, string>;
  onKeepMine: () => void;
  onTakeTheirs: () => void;
}

/** Someone saved in between: both versions beside each other, and the keeper decides. */
export function StaleNotice({ problem, fields, onKeepMine, onTakeTheirs }: Props) {
  const styles = useStyles();
  const yours = (problem.yours ?? {}) as Record<string, unknown>;
  const theirs = (problem.theirs ?? {}) as Record<string, unknown>;
  const differing = Object.keys(fields).filter(
    (key) => JSON.stringify(yours[key]) !== JSON.stringify(theirs[key]),
  );
  return (
    <View style={styles.box} role="alert">
      <Text look="strong">{problem.title}</Text>
      <Text>{problem.detail}</Text>
      {differing.map((key) => (
        <Text key={key} look="small">
          {fields[key]}: yours {show(yours[key])}, theirs {show(theirs[key])}
        </Text>
      ))}
      <View style={styles.acts}>
        <Button label="Keep mine" onPress={onKeepMine} />
        <Button label="Take theirs" onPress={onTakeTheirs} />
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
