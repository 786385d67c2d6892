import { sayUnits } from '@open-larder/core/food';
import type { RoundServing } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { FoodSign } from '../draw';
import { useWords, type HouseData } from '../store';
import { SIZES, themed, useWide } from '../theme';
import { Card, ListRow, Sheet, Text, lowerFirst } from '../ui';
import type { WeekRow, WeekView } from './compileWeek';

interface Props {
  week: WeekView;
  data: HouseData;
  today: string;
}

interface Cell {
  day: string;
  row: WeekRow;
  servings: RoundServing[];
}

/** Days across, moments down. On a phone the board scrolls sideways and the moments stay. */
export function WeekBoard({ week, data, today }: Props) {
  const styles = useStyles();
  const words = useWords();
  const wide = useWide();
  const [open, setOpen] = useState<Cell | null>(null);
  const column = wide ? styles.columnWide : styles.column;
  const board = (
    <View style={styles.board} role="table" aria-label="The week, days across and moments down">
      <View style={styles.line} role="row">
        <View style={styles.momentHead} />
        {week.days.map((day) => (
          <View
            key={day}
            style={[column, styles.dayHead, day === today && styles.today]}
            role="columnheader"
          >
            <Text look="strong">{words.day(day).split(' ')[0]}</Text>
            <Text look="small" tone="quiet">
              {day === today ? 'today' : words.day(day).split(' ').slice(1).join(' ')}
            </Text>
          </View>
        ))}
      </View>
      {week.rows.map((row) => (
        <View key={row.momentId} style={[styles.line, styles.ruled]} role="row">
          <View style={styles.momentHead} role="rowheader">
            <Text look="strong">{words.time(row.minutes)}</Text>
            <Text look="small" tone="quiet">
              {row.name}
            </Text>
          </View>
          {row.cells.map((servings, index) => {
            const day = week.days[index] as string;
            return (
              <View
                key={day}
                style={[column, styles.ruledLeft, day === today && styles.today]}
                role="cell"
              >
                <BoardCell
                  servings={servings}
                  data={data}
                  onPress={() => setOpen({ day, row, servings })}
                />
              </View>
            );
          })}
        </View>
      ))}
    </View>
  );
  return (
    <>
      <Card>{wide ? board : <ScrollView horizontal>{board}</ScrollView>}</Card>
      {open ? <CellSheet cell={open} data={data} onClose={() => setOpen(null)} /> : null}
    </>
  );
}

function BoardCell({
  servings,
  data,
  onPress,
}: {
  servings: RoundServing[];
  data: HouseData;
  onPress: () => void;
}) {
  const styles = useStyles();
  if (servings.length === 0) {
    return (
      <View style={styles.cell}>
        <Text look="small" tone="quiet">
          –
        </Text>
      </View>
    );
  }
  const spoken = servings.map(
    (one) => `${sayUnits(one.portion.units, one.food.unit)} ${one.food.name}`,
  );
  return (
    <Pressable role="button" aria-label={spoken.join(', ')} onPress={onPress} style={styles.cell}>
      {servings.map((one) => (
        <View key={one.key} style={styles.serving}>
          <FoodSign family={familyOf(one, data)} size={20} />
          <View style={styles.words}>
            <Text look="small">{sayUnits(one.portion.units, one.food.unit)}</Text>
            <Text look="small" tone="quiet">
              {one.food.name}
            </Text>
          </View>
        </View>
      ))}
    </Pressable>
  );
}

function CellSheet({ cell, data, onClose }: { cell: Cell; data: HouseData; onClose: () => void }) {
  const router = useRouter();
  const words = useWords();
  return (
    <Sheet title={`${words.day(cell.day)}, ${cell.row.name}`} open onClose={onClose}>
      <Text tone="quiet">Tap a serving to change the diet of its group.</Text>
      <Card>
        {cell.servings.map((one, index) => (
          <ListRow
            key={one.key}
            first={index === 0}
            lead={<FoodSign family={familyOf(one, data)} />}
            title={`${sayUnits(one.portion.units, one.food.unit)} ${lowerFirst(one.food.name)}`}
            detail={`${one.group.name}${one.serving.place ? ` · ${one.serving.place}` : ''}`}
            onPress={() => router.push(`/groups/${one.group.id}/diet`)}
          />
        ))}
      </Card>
    </Sheet>
  );
}

const familyOf = (one: RoundServing, data: HouseData) =>
  data.foods.find((food) => food.id === one.food.id)?.family ?? 'grain';

const useStyles = themed((c) => ({
  board: { flex: 1 },
  line: { flexDirection: 'row' },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  ruledLeft: { borderLeftWidth: 1, borderColor: c.rule },
  momentHead: { width: 92, padding: 10 },
  column: { width: 122 },
  columnWide: { flex: 1, minWidth: 0 },
  dayHead: { padding: 10, borderLeftWidth: 1, borderColor: c.rule },
  today: { backgroundColor: c.water },
  cell: { minHeight: SIZES.touch, padding: 8, gap: 8, flex: 1 },
  serving: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  words: { flex: 1, minWidth: 0 },
}));
