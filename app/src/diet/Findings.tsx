import type { FewerDays, Finding } from '@open-larder/core/round';
import { View } from 'react-native';
import { useFormat } from '../store';
import { SIZES, themed } from '../theme';
import { Button, Text } from '../ui';
import { formatFinding } from './labels';

interface Props {
  findings: readonly Finding[];
  servingName: (id: string) => string;
  /** Gives a serving on fewer days; left out where nothing is changed here. */
  onFewerDays?: (servingId: string, fewer: FewerDays) => void;
}

/** What to look at in a diet, each in a sentence with its figures. */
export function Findings({ findings, servingName, onFewerDays }: Props) {
  const styles = useStyles();
  const format = useFormat();
  if (findings.length === 0) return null;
  return (
    <View style={styles.box} role="note">
      {findings.map((finding, index) => (
        <View key={index} style={styles.one}>
          <Text>{formatFinding(finding, format, servingName)}</Text>
          {onFewerDays && finding.kind === 'rounding' && finding.fewer ? (
            <FewerDaysButton
              name={servingName(finding.servingId)}
              fewer={finding.fewer}
              onPress={(fewer) => onFewerDays(finding.servingId, fewer)}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}

function FewerDaysButton({
  name,
  fewer,
  onPress,
}: {
  name: string;
  fewer: FewerDays;
  onPress: (fewer: FewerDays) => void;
}) {
  const { weekdays } = useFormat();
  const days = weekdays
    .filter(({ value }) => fewer.days.includes(value))
    .map(({ label }) => label)
    .join(', ');
  return (
    <Button
      label={`Only ${days}`}
      spoken={`Give ${name} only ${days}`}
      onPress={() => onPress(fewer)}
    />
  );
}

const useStyles = themed((c) => ({
  one: { gap: 8, alignItems: 'flex-start' },
  box: {
    gap: 8,
    padding: 12,
    backgroundColor: c.paper,
    borderLeftWidth: 4,
    borderColor: c.roe,
    borderRadius: SIZES.radius,
  },
}));
