import type { RoundStopView, RoundView } from '@open-larder/contract';
import { useRef } from 'react';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat, type AppData } from '../store';
import { NumberTag } from '../tank/NumberTag';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

interface Props {
  data: AppData;
  round: RoundView;
  /** What is looked at. */
  momentId: string;
  tankId: string | null;
  /** «change 8 L», by tank. */
  water: Readonly<Record<string, string>>;
  onChoose: (momentId: string, tankId: string) => void;
}

/**
 * The day as a timetable: a row for each tank in walking order, a column for each moment. One cell takes
 * the key; arrows walk.
 */
export function DayTable({ data, round, momentId, tankId, water, onChoose }: Props) {
  const styles = useStyles();
  const format = useFormat();
  const table = useRef<View>(null);
  const { moments } = round;
  const tanks = data.tanks.filter((tank) =>
    moments.some(({ stops }) => stops.some((stop) => stop.tankId === tank.id)),
  );
  const stopAt = (moment: RoundView['moments'][number], id: string) =>
    moment.stops.find((stop) => stop.tankId === id);
  const walk = (rows: number, columns: number) => {
    const row = tanks.findIndex(({ id }) => id === tankId);
    const column = moments.findIndex((one) => one.momentId === momentId);
    const inside = (at: number, length: number) => Math.min(length - 1, Math.max(0, at));
    const to = tanks[inside(row + rows, tanks.length)];
    const when = moments[inside(column + columns, moments.length)];
    if (!to || !when) return;
    onChoose(when.momentId, to.id);
    const cell = `[data-cell="${when.momentId} ${to.id}"]`;
    (table.current as unknown as HTMLElement | null)?.querySelector<HTMLElement>(cell)?.focus();
  };
  const keys: Record<string, [number, number]> = {
    ArrowDown: [1, 0],
    ArrowUp: [-1, 0],
    ArrowRight: [0, 1],
    ArrowLeft: [0, -1],
  };
  return (
    <View
      ref={table}
      role="grid"
      aria-label="The day by tank and moment"
      style={styles.table}
      {...({
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          const step = keys[event.key];
          if (!step) return;
          event.preventDefault();
          walk(...step);
        },
      } as object)}
    >
      <View role="row" style={styles.row}>
        <View role="columnheader" style={styles.tank}>
          <Text variant="small" tone="quiet">
            In walking order
          </Text>
        </View>
        {moments.map((moment) => (
          <View key={moment.momentId} role="columnheader" style={styles.head}>
            <Text variant="small" numberOfLines={2}>
              {moment.name}
            </Text>
            <Text variant="small" tone="quiet">
              {format.time(Math.min(...moment.stops.map(({ minutes }) => minutes)))}
            </Text>
          </View>
        ))}
      </View>
      {tanks.map((tank) => (
        <View key={tank.id} role="row" style={[styles.row, styles.ruled]}>
          <View role="rowheader" style={styles.tank}>
            <NumberTag number={tank.walkOrder} />
            <View style={{ flex: 1, minWidth: 0 }}>
              <Text variant="strong" numberOfLines={1}>
                {tank.name}
              </Text>
              {water[tank.id] ? (
                <Text variant="small" tone="quiet" numberOfLines={1}>
                  {water[tank.id]}
                </Text>
              ) : null}
            </View>
          </View>
          {moments.map((moment) => {
            const stop = stopAt(moment, tank.id);
            const on = tank.id === tankId && moment.momentId === momentId;
            return (
              <View key={moment.momentId} role={'gridcell' as 'cell'} style={styles.cell}>
                <Pressable
                  role="button"
                  aria-pressed={on}
                  aria-label={`${tank.name}: ${moment.name}, ${stop ? stateOf(stop) : 'nothing'}`}
                  tabIndex={on ? 0 : -1}
                  {...({ dataSet: { cell: `${moment.momentId} ${tank.id}` } } as object)}
                  onPress={() => onChoose(moment.momentId, tank.id)}
                  style={[styles.inside, on && styles.on]}
                >
                  {stop ? <Signs stop={stop} /> : null}
                </Pressable>
              </View>
            );
          })}
        </View>
      ))}
    </View>
  );
}

const dueIn = (stop: RoundStopView) => stop.servings.filter(({ fed }) => fed === null);

const stateOf = (stop: RoundStopView) => {
  const left = dueIn(stop).length;
  return left === 0 ? 'all served' : `${left} to serve`;
};

function Signs({ stop }: { stop: RoundStopView }) {
  const styles = useStyles();
  const due = dueIn(stop);
  if (due.length === 0) {
    return (
      <Text variant="small" tone="done">
        served
      </Text>
    );
  }
  return (
    <View style={styles.signs}>
      {[...new Set(due.map(({ family }) => family))].map((family) => (
        <FoodSign key={family} family={family} size={20} />
      ))}
      <Text variant="small" tone="due">
        {due.length}
      </Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  table: {
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    backgroundColor: c.paper,
  },
  row: { flexDirection: 'row', minHeight: SIZES.touch },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  tank: {
    width: 168,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 10,
    paddingVertical: 4,
  },
  head: {
    flex: 1,
    minWidth: 0,
    paddingHorizontal: 8,
    paddingVertical: 4,
    borderLeftWidth: 1,
    borderColor: c.rule,
  },
  cell: { flex: 1, minWidth: 0, borderLeftWidth: 1, borderColor: c.rule },
  inside: { flex: 1, minHeight: SIZES.touch, justifyContent: 'center', paddingHorizontal: 8 },
  on: { backgroundColor: c.water, borderWidth: 2, borderColor: c.ink },
  signs: { flexDirection: 'row', alignItems: 'center', gap: 4, flexWrap: 'wrap' },
}));
