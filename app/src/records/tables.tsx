import type { Consumption } from '@open-larder/contract';
import { type ServingUnit } from '@open-larder/core/food';
import { formatGrams, formatUnits, formatSignificant } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat } from '../store';
import { themed } from '../theme';
import { Button, Card, Text } from '../ui';

/** Offered as a share of need. Outside 90 to 110 % it stands out. */
function shareOf({ offeredKj, neededKj }: { offeredKj: number; neededKj: number }) {
  if (neededKj === 0) return { text: offeredKj > 0 ? 'not needed' : 'not fed', off: offeredKj > 0 };
  const share = offeredKj / neededKj;
  return { text: `${Math.round(share * 100)} %`, off: Math.abs(share - 1) > 0.1 };
}

/** Rows drawn at once: a table of a thousand groups is asked for piece by piece. */
const AT_ONCE = 40;

/** Needed, offered and refused energy of each group. */
export function GroupTable({ data }: { data: Consumption }) {
  const styles = useStyles();
  const [shown, setShown] = useState(AT_ONCE);
  const left = data.groups.length - shown;
  return (
    <Card>
      <View role="table" aria-label="Energy by group, in kilojoules">
        <Row head cells={['Group', 'Needed, kJ', 'Offered, kJ', 'Share']} />
        {data.groups.slice(0, shown).map((group) => {
          const share = shareOf(group);
          return (
            <View key={group.groupId} role="row" style={[styles.row, styles.ruled]}>
              <View style={styles.name} role="rowheader">
                <Text>{group.name}</Text>
                <Text variant="small" tone="quiet">
                  {group.tankName}
                  {group.refusedKj > 0 ? ` · refused ${formatSignificant(group.refusedKj)} kJ` : ''}
                </Text>
              </View>
              <Cell text={formatSignificant(group.neededKj)} />
              <Cell text={formatSignificant(group.offeredKj)} />
              <Cell text={share.text} due={share.off} />
            </View>
          );
        })}
      </View>
      {left > 0 ? (
        <Button
          variant="bare"
          label={`${Math.min(left, AT_ONCE)} more of ${data.groups.length}`}
          onPress={() => setShown(shown + AT_ONCE)}
        />
      ) : null}
    </Card>
  );
}

/** Grams, serving units and cost of each food. */
export function FoodTable({ data }: { data: Consumption }) {
  const styles = useStyles();
  const format = useFormat();
  const total = data.foods.reduce((sum, food) => sum + (food.costMinor ?? 0), 0);
  return (
    <Card>
      <View role="table" aria-label="Consumption by food">
        <Row head cells={['Food', 'Grams', 'Units', 'Cost']} />
        {data.foods.map((food) => (
          <View key={food.foodId} role="row" style={[styles.row, styles.ruled]}>
            <View style={[styles.name, styles.withSign]} role="rowheader">
              <FoodSign family={food.family} size={20} />
              <Text>{food.name}</Text>
            </View>
            <Cell text={formatGrams(food.totalG).replace(/ g$/, '')} />
            <Cell text={formatUnits(Math.round(food.units * 4) / 4, measureOf(food.unit))} />
            <Cell text={food.costMinor === null ? '–' : format.money(food.costMinor)} />
          </View>
        ))}
        <View role="row" style={[styles.row, styles.ruled]}>
          <View style={styles.name} role="rowheader">
            <Text variant="strong">All foods</Text>
          </View>
          <Cell text="" />
          <Cell text="" />
          <Cell text={format.money(total)} strong />
        </View>
      </View>
    </Card>
  );
}

function Row({ cells }: { head: true; cells: [string, string, string, string] }) {
  const styles = useStyles();
  const [first, ...rest] = cells;
  return (
    <View role="row" style={styles.row}>
      <View style={styles.name} role="columnheader">
        <Text variant="small" tone="quiet">
          {first}
        </Text>
      </View>
      {rest.map((cell) => (
        <View key={cell} style={styles.cell} role="columnheader">
          <Text variant="small" tone="quiet" align="right">
            {cell}
          </Text>
        </View>
      ))}
    </View>
  );
}

function Cell({
  text,
  due = false,
  strong = false,
}: {
  text: string;
  due?: boolean;
  strong?: boolean;
}) {
  const styles = useStyles();
  return (
    <View style={styles.cell} role="cell">
      <Text variant={due || strong ? 'strong' : 'body'} tone={due ? 'due' : 'ink'} align="right">
        {text}
      </Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingVertical: 8,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  name: { flex: 1.5, minWidth: 0 },
  withSign: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  cell: { flex: 1, minWidth: 0 },
}));

/** Its grams stand in a column of their own. */
const measureOf = (unit: unknown): Omit<ServingUnit, 'massG'> => {
  const { massG: _, ...measure } = unit as ServingUnit;
  return measure;
};
