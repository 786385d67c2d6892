import { View } from 'react-native';
import { themed } from '../theme';
import { Text } from '../ui';

/** The number on a tank's frame: its place in the walk. */
export function NumberTag({ number }: { number: number }) {
  const styles = useStyles();
  return (
    <View style={styles.tag}>
      <Text variant="small">{number}</Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  tag: {
    minWidth: 24,
    height: 24,
    paddingHorizontal: 4,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1.5,
    borderColor: c.ink,
    borderRadius: 3,
  },
}));
