import { isWorthSaying, type FewerDays, type Finding } from '@open-larder/core/round';
import { useState } from 'react';
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

/** What to do about a diet: the most harmful first and open, the others and all figures folded. */
export function Findings({ findings, servingName, onFewerDays }: Props) {
  const styles = useStyles();
  const [open, setOpen] = useState(false);
  const [first, ...others] = findings.filter(isWorthSaying);
  if (!first) return null;
  const line = (finding: Finding, index: number) => (
    <FindingLine
      key={index}
      finding={finding}
      figures={open}
      servingName={servingName}
      onFewerDays={onFewerDays}
    />
  );
  return (
    <View style={styles.box} role="note">
      {line(first, -1)}
      {open ? others.map(line) : null}
      <Button
        variant="bare"
        label={open ? 'Less' : others.length > 0 ? `Why, and ${others.length} more` : 'Why'}
        onPress={() => setOpen(!open)}
      />
    </View>
  );
}

interface LineProps extends Omit<Props, 'findings'> {
  finding: Finding;
  figures: boolean;
}

function FindingLine({ finding, figures, servingName, onFewerDays }: LineProps) {
  const styles = useStyles();
  const format = useFormat();
  const { does, because } = formatFinding(finding, format, servingName);
  return (
    <View style={styles.one}>
      <Text>{does}</Text>
      {figures ? (
        <Text variant="small" tone="quiet">
          {because}
        </Text>
      ) : null}
      {onFewerDays && finding.kind === 'rounding' && finding.fewer ? (
        <FewerDaysButton
          name={servingName(finding.servingId)}
          fewer={finding.fewer}
          onPress={(fewer) => onFewerDays(finding.servingId, fewer)}
        />
      ) : null}
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
  one: { gap: 4, alignItems: 'flex-start' },
  box: {
    gap: 8,
    padding: 12,
    backgroundColor: c.paper,
    borderLeftWidth: 4,
    borderColor: c.roe,
    borderRadius: SIZES.radius,
  },
}));
