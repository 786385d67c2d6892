import type { Finding } from '@open-larder/core/round';
import { View } from 'react-native';
import { useWords } from '../store';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';
import { sayFinding } from './words';

interface Props {
  findings: readonly Finding[];
  servingName: (id: string) => string;
}

/** What to look at in a diet, each in a sentence with its figures. */
export function Findings({ findings, servingName }: Props) {
  const styles = useStyles();
  const words = useWords();
  if (findings.length === 0) return null;
  return (
    <View style={styles.box} role="note">
      {findings.map((finding, index) => (
        <Text key={index}>{sayFinding(finding, words, servingName)}</Text>
      ))}
    </View>
  );
}

const useStyles = themed((c) => ({
  box: {
    gap: 8,
    padding: 12,
    backgroundColor: c.paper,
    borderLeftWidth: 4,
    borderColor: c.roe,
    borderRadius: SIZES.radius,
  },
}));
