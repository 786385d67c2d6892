import { formatUnits } from '@open-larder/say';
import Plus from 'lucide-react-native/icons/plus';
import { useRef, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
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
  const pages = useRef<ScrollView>(null);
  const [width, setWidth] = useState(0);
  const [shown, setShown] = useState(() =>
    Math.max(
      0,
      columns.findIndex(({ date }) => date === today),
    ),
  );
  const go = (to: number, animated: boolean) => {
    setShown(to);
    pages.current?.scrollTo({ x: to * width, animated });
  };
  return (
    <View
      testID="days"
      style={{ gap: 8 }}
      onLayout={(event) => setWidth(Math.round(event.nativeEvent.layout.width))}
    >
      <View role="tablist" aria-label="Days" style={styles.days}>
        {columns.map(({ day, date, fasting }, at) => (
          <Pressable
            key={day}
            role="tab"
            aria-selected={at === shown}
            aria-label={columns.length === 7 ? format.day(date) : `Day ${day}`}
            onPress={() => go(at, true)}
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
      <ScrollView
        ref={pages}
        horizontal
        pagingEnabled
        showsHorizontalScrollIndicator={false}
        scrollEventThrottle={100}
        onContentSizeChange={() => go(shown, false)}
        onScroll={({ nativeEvent: { contentOffset } }) => {
          const at = width > 0 ? Math.round(contentOffset.x / width) : shown;
          if (at !== shown && at >= 0 && at < columns.length) setShown(at);
        }}
      >
        {columns.map((column, at) => (
          <View
            key={column.day}
            style={{ width: width || undefined, gap: 8 }}
            // Only the day in sight is there for the keys and for those who listen.
            aria-hidden={at !== shown}
          >
            {width === 0 || Math.abs(at - shown) > 1 ? null : (
              <Day {...{ column, at, rows, data, groups, onOpen }} />
            )}
          </View>
        ))}
      </ScrollView>
    </View>
  );
}

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
                  title={`${formatUnits(one.portion.units, one.food.unit)} ${one.food.name.charAt(0).toLowerCase()}${one.food.name.slice(1)}`}
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
