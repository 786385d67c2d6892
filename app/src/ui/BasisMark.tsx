import type { Basis } from '@open-larder/catalogue';
import { View } from 'react-native';
import { themed } from '../theme';
import { Text } from './Text';

/** What a figure rests on; «own» is what the keeper entered. */
type Rests = Basis | 'own';

export const BASIS_WORDS: Record<Rests, string> = {
  own: 'entered by you',
  publication: 'published',
  practice: 'common practice',
  default: 'by default',
  unknown: 'not known',
};

/** What a figure rests on, as a colour; its word is for those who cannot see it. */
export function BasisDot({ basis }: { basis: Rests }) {
  const styles = useStyles();
  return <View role="img" aria-label={BASIS_WORDS[basis]} style={[styles.dot, styles[basis]]} />;
}

/** What a figure rests on, as a word and a colour. */
export function BasisMark({ basis }: { basis: Rests }) {
  const styles = useStyles();
  return (
    <View style={styles.mark}>
      <BasisDot basis={basis} />
      <Text variant="small">{BASIS_WORDS[basis]}</Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 8, flexShrink: 1 },
  dot: { width: 10, height: 10, borderRadius: 5, borderWidth: 1, borderColor: c.ink2 },
  own: { backgroundColor: c.ink2 },
  publication: { backgroundColor: c.duckweed },
  practice: { backgroundColor: c.sand },
  default: { backgroundColor: c.paper },
  unknown: { backgroundColor: c.paper, borderStyle: 'dashed' },
}));
