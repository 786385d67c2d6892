import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Button, Text } from '../ui';
import { newBuildWaits, onNewBuild, takeNewBuild } from './install';

/** A new version is on the device: it is taken when that suits. */
export function NewBuild() {
  const styles = useStyles();
  const waits = useSyncExternalStore(onNewBuild, newBuildWaits, newBuildWaits);
  if (!waits) return null;
  return (
    <View style={styles.bar} role="status">
      <View style={styles.words}>
        <Text variant="small">
          A new version is ready. What you have typed is kept and is here again afterwards.
        </Text>
      </View>
      <Button label="Take it" spoken="Take the new version" onPress={takeNewBuild} />
    </View>
  );
}

const useStyles = themed((c) => ({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: SIZES.gutter,
    paddingVertical: 6,
    backgroundColor: c.paper,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  words: { flex: 1, minWidth: 0 },
}));
