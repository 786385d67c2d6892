import type { DoneRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { View } from 'react-native';
import { themed } from '../theme';
import { Card, Text } from '../ui';

/** Plan against done, by moment: how servings went, and what went in of what was planned. */
export function DoneTable({ rows }: { rows: readonly DoneRow[] }) {
  const styles = useStyles();
  if (rows.length === 0) return null;
  const logged = (row: DoneRow) => row.served + row.less + row.more + row.refused + row.skipped;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Plan against done</Text>
      <Card>
        <View role="table" aria-label="Plan against done, by moment">
          {[...rows]
            .sort((a, b) => logged(b) - logged(a))
            .map((row, index) => (
              <View
                key={row.momentId ?? 'beside'}
                role="row"
                style={[styles.row, index > 0 && styles.ruled]}
              >
                <View role="rowheader" style={styles.name}>
                  <Text variant="strong">{row.name}</Text>
                  <Text variant="small" tone="quiet">
                    {formatDone(row)}
                  </Text>
                </View>
                <View role="cell">
                  <Text align="right">
                    {row.momentId === null
                      ? formatGrams(row.givenG)
                      : `${formatGrams(row.givenG)} of ${formatGrams(row.plannedG)}`}
                  </Text>
                </View>
              </View>
            ))}
        </View>
      </Card>
    </View>
  );
}

/** «120 as planned · 3 less · 1 skipped» */
const formatDone = ({ served, less, more, refused, skipped }: DoneRow): string =>
  [
    [served, 'as planned'],
    [less, 'less'],
    [more, 'more'],
    [refused, 'refused'],
    [skipped, 'skipped'],
  ]
    .filter(([count]) => Number(count) > 0)
    .map(([count, word]) => `${count} ${word}`)
    .join(' · ');

const useStyles = themed((c) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, padding: 12 },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  name: { flex: 1, minWidth: 0 },
}));
