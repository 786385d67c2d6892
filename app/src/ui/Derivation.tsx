import { type Measure } from '@open-larder/core/units';
import { formatNumber, formatSignificant } from '@open-larder/say';
import { leaves, type Why } from '@open-larder/core/why';
import { View } from 'react-native';
import { useFormat, type Format } from '../store';
import { themed } from '../theme';
import { Text } from './Text';

/** How a number came about, down to what was measured and what is assumed. */
export function Derivation({ why }: { why: Why }) {
  const styles = useStyles();
  const assumed = leaves(why).filter((leaf) => leaf.basis === 'assumed').length;
  return (
    <View style={styles.tree}>
      <Text variant="small" tone="quiet">
        {assumed === 0
          ? 'Every input was measured or entered by you.'
          : `${assumed} of ${leaves(why).length} inputs are assumed, marked ~. Measure them and the number follows.`}
      </Text>
      <Step why={why} depth={0} />
    </View>
  );
}

function Step({ why, depth }: { why: Why; depth: number }) {
  const styles = useStyles();
  const format = useFormat();
  return (
    <View style={[styles.step, depth > 0 && styles.nested]}>
      <View style={styles.line}>
        <View style={styles.words}>
          <Text variant={depth === 0 ? 'strong' : 'body'}>
            {why.basis === 'assumed' ? '~ ' : ''}
            {why.label}
          </Text>
        </View>
        <Text variant="strong" align="right">
          {formatValue(why, format)}
        </Text>
      </View>
      {why.how ? <Text variant="small">= {why.how}</Text> : null}
      {why.source ? (
        <Text variant="small" tone="quiet">
          {why.source}
        </Text>
      ) : null}
      {why.from.map((input, index) => (
        <Step key={`${input.label}-${index}`} why={input} depth={depth + 1} />
      ))}
    </View>
  );
}

/** Base units of the core that a keeper may read in others. */
const MEASURES: Record<string, Measure> = {
  cm: 'length',
  L: 'volume',
  '°C': 'temperature',
  dGH: 'hardness',
};

function formatValue({ value, unit }: Why, format: Format): string {
  if (typeof value === 'string') return value;
  const measure = MEASURES[unit];
  const scale = measure === undefined ? null : format.scale(measure);
  const shown = scale ? scale.fromBase(value) : value;
  const number = Number.isInteger(shown) ? formatNumber(shown, 0) : formatSignificant(shown);
  return unit ? `${number} ${scale?.unit ?? unit}` : number;
}

const useStyles = themed((c) => ({
  tree: { gap: 12 },
  step: { gap: 2, paddingVertical: 6 },
  nested: { marginLeft: 4, paddingLeft: 12, borderLeftWidth: 1, borderColor: c.rule },
  line: {
    flexDirection: 'row',
    gap: 12,
    alignItems: 'flex-start',
    justifyContent: 'space-between',
  },
  words: { flex: 1, minWidth: 0 },
}));
