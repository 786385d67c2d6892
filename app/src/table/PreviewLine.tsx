import type { TableReport } from '@open-larder/contract';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

type Line = TableReport['lines'][number];

const STATE_WORDS: Record<Line['state'], string> = {
  new: 'new',
  same: 'as it is',
  changed: 'changed',
  error: 'to be corrected',
};

/** One line of a table as it was understood: every cell with its mark. */
export function PreviewLine({ line, columns }: { line: Line; columns: TableReport['columns'] }) {
  const styles = useStyles();
  return (
    <View
      style={[styles.line, line.state === 'error' && styles.wrong]}
      role="group"
      aria-label={`Line ${line.line}, ${STATE_WORDS[line.state]}`}
    >
      <Text variant="small" tone={line.state === 'error' ? 'due' : 'quiet'}>
        Line {line.line}: {line.says ?? STATE_WORDS[line.state]}
      </Text>
      <View style={styles.cells}>
        {line.cells.map((cell, at) =>
          cell.state === 'blank' && cell.says === null ? null : (
            <View key={at} style={[styles.cell, styles[LOOKS[cell.state]]]}>
              <Text variant="small" tone="quiet">
                {columns[at]?.title ?? columns[at]?.header}
                {MARKS[cell.state]}
              </Text>
              <Text>{cell.text === '' ? '—' : cell.text}</Text>
              {cell.says ? (
                <Text variant="small" tone={cell.state === 'error' ? 'due' : 'quiet'}>
                  {cell.says}
                </Text>
              ) : null}
            </View>
          ),
        )}
      </View>
    </View>
  );
}

type CellState = Line['cells'][number]['state'];
/** A mark in words as well as by its border: not by colour alone. */
const MARKS: Record<CellState, string> = {
  read: '',
  guessed: ', guessed',
  error: ', wrong',
  blank: '',
  'left out': ', left out',
};
const LOOKS = {
  read: 'read',
  guessed: 'guessed',
  error: 'error',
  blank: 'read',
  'left out': 'leftOut',
} as const satisfies Record<CellState, string>;

const useStyles = themed((c) => ({
  line: {
    marginTop: 12,
    padding: 12,
    gap: 8,
    backgroundColor: c.paper,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
  },
  wrong: { borderColor: c.roe },
  cells: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  cell: {
    maxWidth: 280,
    paddingHorizontal: 8,
    paddingVertical: 4,
    borderRadius: SIZES.radius,
    borderWidth: 1,
  },
  read: { borderColor: c.rule },
  guessed: { borderColor: c.brine, borderStyle: 'dashed', borderWidth: 2 },
  error: { borderColor: c.roe, borderWidth: 2 },
  leftOut: { borderColor: c.rule, borderStyle: 'dotted', opacity: 0.7 },
}));
