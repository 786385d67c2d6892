import { formatServing, formatUnits } from '@open-larder/say';
import Plus from 'lucide-react-native/icons/plus';
import { useMemo, useState } from 'react';
import { PanResponder, Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat, type AppData } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Card, ListRow, Text } from '../ui';
import type { Place } from './BoardCell';
import type { BoardRow, Column } from './columns';

interface Props {
  columns: readonly Column[];
  rows: readonly BoardRow[];
  data: AppData;
  today: string;
  groups: readonly { id: string; name: string }[];
  onOpen: (place: Place) => void;
}

/** The plan a day at a time, as a phone has room for it: swiped from day to day, or chosen above. */
export function DayPlan({ columns, rows, data, today, groups, onOpen }: Props) {
  const styles = useStyles();
  const format = useFormat();
  const [shown, setShown] = useState(() =>
    Math.max(
      0,
      columns.findIndex(({ date }) => date === today),
    ),
  );
  const last = columns.length - 1;
  const { panHandlers } = useMemo(
    () =>
      PanResponder.create({
        onMoveShouldSetPanResponderCapture: (_, { dx, dy }) =>
          Math.abs(dx) > BEGINS_PX && Math.abs(dx) > 2 * Math.abs(dy),
        onPanResponderRelease: (_, { dx }) => {
          if (Math.abs(dx) < MEANT_PX) return;
          setShown((at) => Math.min(last, Math.max(0, at + (dx < 0 ? 1 : -1))));
        },
      }),
    [last],
  );
  const column = columns[Math.min(shown, last)];
  return (
    <View style={{ gap: 8 }}>
      <View role="tablist" aria-label="Days" style={styles.days}>
        {columns.map(({ day, date, fasting }, at) => (
          <Pressable
            key={day}
            role="tab"
            aria-selected={at === shown}
            aria-label={columns.length === 7 ? format.day(date) : `Day ${day}`}
            onPress={() => setShown(at)}
            style={[styles.day, at === shown && styles.on]}
          >
            <Text variant={at === shown ? 'strong' : 'small'} align="center">
              {columns.length === 7 ? format.day(date).slice(0, 2) : String(day)}
            </Text>
            <Text variant="small" align="center" tone={date === today ? 'due' : 'quiet'}>
              {fasting.length > 0 && fasting.length === groups.length
                ? 'fast'
                : columns.length === 7
                  ? Number(date.slice(8))
                  : ''}
            </Text>
          </Pressable>
        ))}
      </View>
      <View {...panHandlers} style={styles.page}>
        {column ? <Day {...{ column, at: shown, rows, data, groups, onOpen }} /> : null}
      </View>
    </View>
  );
}

/** From here on it is a swipe; so far it is meant. */
const BEGINS_PX = 12;
const MEANT_PX = 56;

function Day({
  column,
  at,
  rows,
  data,
  groups,
  onOpen,
}: Omit<Props, 'columns' | 'today'> & { column: Column; at: number }) {
  const format = useFormat();
  const colours = useColours();
  const { day, date, fasting } = column;
  return (
    <>
      {fasting.length > 0 ? (
        <Text tone="due">
          {fasting.length === groups.length
            ? 'All fast.'
            : `${groups
                .filter(({ id }) => fasting.includes(id))
                .map(({ name }) => name)
                .join(', ')} fast.`}
        </Text>
      ) : null}
      <Card label={`The plan of ${format.day(date)}`}>
        {rows.map((row, index) => {
          const place = { day, momentId: row.momentId };
          const servings = row.cells[at] ?? [];
          return (
            <View key={row.momentId}>
              <ListRow
                first={index === 0}
                title={`${format.time(row.minutes)} ${row.name}`}
                detail={servings.length === 0 ? 'nothing' : undefined}
                trail={
                  <Pressable
                    role="button"
                    aria-label={`${servings.length > 0 ? 'Change' : 'Add food'}: ${row.name}, ${format.day(date)}`}
                    onPress={() => onOpen(place)}
                    style={{
                      width: SIZES.touch,
                      height: SIZES.touch,
                      alignItems: 'center',
                      justifyContent: 'center',
                    }}
                  >
                    <Plus size={20} color={colours.ink} />
                  </Pressable>
                }
              />
              {servings.map((one) => (
                <ListRow
                  key={one.key}
                  lead={
                    <FoodSign
                      family={data.foods.find(({ id }) => id === one.food.id)?.family ?? 'grain'}
                    />
                  }
                  title={formatServing(
                    formatUnits(one.portion.units, one.food.unit),
                    one.food.name,
                  )}
                  detail={[one.group.name, one.serving.place].filter(Boolean).join(' · ')}
                  onPress={() => onOpen(place)}
                />
              ))}
            </View>
          );
        })}
      </Card>
    </>
  );
}

const useStyles = themed((c) => ({
  // The browser scrolls upwards and downwards; sideways is ours.
  page: { gap: 8, touchAction: 'pan-y' } as object,
  days: { flexDirection: 'row', flexWrap: 'wrap' },
  day: {
    flexGrow: 1,
    minWidth: 44,
    minHeight: SIZES.touch,
    justifyContent: 'center',
    borderBottomWidth: 3,
    borderColor: 'transparent',
  },
  on: { borderColor: c.roe },
}));
