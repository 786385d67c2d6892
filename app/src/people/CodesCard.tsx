import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Button, Card, Text } from '../ui';

/** The codes that help where a password is lost: shown this once. */
export function CodesCard({
  codes,
  done,
  onDone,
}: {
  codes: readonly string[];
  done: string;
  onDone: () => void;
}) {
  const styles = useStyles();
  return (
    <View style={styles.all}>
      <Text>
        If you lose your password, one of these codes lets you set a new one. Each works once. They
        are not shown again: print them, or write them down and keep them with the test kits.
      </Text>
      <Card label="Your codes">
        <View style={styles.codes}>
          {codes.map((code) => (
            <Text key={code} variant="strong" selectable>
              {code}
            </Text>
          ))}
        </View>
      </Card>
      <View style={styles.acts}>
        <Button label="Print" onPress={() => globalThis.print?.()} />
        <Button variant="primary" label={done} onPress={onDone} />
      </View>
    </View>
  );
}

const useStyles = themed(() => ({
  all: { gap: 16 },
  codes: { padding: SIZES.gutter, gap: 6 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
}));
