import { ScrollView, View } from 'react-native';
import { themed } from '../theme';
import { Card, Text } from '../ui';

interface Props {
  label: string;
  columns: readonly string[];
  rows: readonly { title: string; values: readonly string[] }[];
}

/** Figures beside each other: a column for each that is compared; scrolls sideways where it is wide. */
export function CompareTable({ label, columns, rows }: Props) {
  const styles = useStyles();
  return (
    <Card label={label}>
      <ScrollView horizontal>
        <View role="table" aria-label={label} style={styles.table}>
          <View role="row" style={styles.row}>
            <View role="columnheader" style={styles.title} />
            {columns.map((column, at) => (
              <View key={`${column} ${at}`} role="columnheader" style={styles.cell}>
                <Text variant="strong" align="right">
                  {column}
                </Text>
              </View>
            ))}
          </View>
          {rows.map(({ title, values }) => (
            <View key={title} role="row" style={[styles.row, styles.ruled]}>
              <View role="rowheader" style={styles.title}>
                <Text tone="quiet">{title}</Text>
              </View>
              {values.map((value, at) => (
                <View key={`${title} ${at}`} role="cell" style={styles.cell}>
                  <Text align="right">{value}</Text>
                </View>
              ))}
            </View>
          ))}
        </View>
      </ScrollView>
    </Card>
  );
}

const useStyles = themed((c) => ({
  table: { padding: 12 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 40 },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  title: { width: 100 },
  cell: { width: 92 },
}));
