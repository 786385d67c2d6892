import { group } from 'd3-array';
import type { FoodFamily } from '@open-larder/catalogue';
import { preparedFoods, preparingOf } from '@open-larder/contract/week';
import { formatNumber, formatPreparation, formatServing, formatUnits } from '@open-larder/say';
import { addDays, compileRound, weekdayOf, type Round } from '@open-larder/core/round';
import { batchesOf, workOf, type Preparing } from '@open-larder/core/week';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { ScreenTools } from '../shell';
import { useHouse, useNow, useFormat, type AppData } from '../store';
import { SIZES, themed, useWide } from '../theme';
import { Card, Empty, ListRow, Screen, Sheet, Text, lowerFirst, Waiting } from '../ui';

/** The whole house by day and by moment: minutes of work against what there are, and what to prepare. */
export function HouseWeekScreen() {
  const loaded = useHouse();
  return loaded.data ? (
    <HouseWeek data={loaded.data} />
  ) : (
    <Screen title="House week" back="/week">
      {<Waiting of={loaded} rows={4} height={80} />}
    </Screen>
  );
}

function HouseWeek({ data }: { data: AppData }) {
  const format = useFormat();
  const now = useNow();
  const start = format.weekdays[0]?.value ?? 1;
  const back = (weekdayOf(now.day) - start + 7) % 7;
  const first = addDays(now.day, -back);
  const week = useMemo(() => weekOf(data, first), [data, first]);
  const wide = useWide();
  const [open, setOpen] = useState<{ day: number; momentId: string } | null>(null);
  const { days, rounds, work, prepare, batches } = week;
  if (rounds.every((round) => round.moments.length === 0)) {
    return (
      <Screen title="House week" back="/week">
        <Empty
          title="Nothing planned in this house"
          text="Plan a tank on its board; the work of all tanks is added up here."
        />
      </Screen>
    );
  }
  const shown = open ?? { day: Math.max(0, days.indexOf(now.day)), momentId: '' };
  const list = <DayList day={shown.day} momentId={shown.momentId} week={week} data={data} />;
  return (
    <Screen
      title="House week"
      detail={`from ${format.day(first)}, minutes of work against those that you have`}
      back="/week"
      tools={<ScreenTools />}
      aside={list}
    >
      <WorkGrid
        days={days}
        work={work}
        rounds={rounds}
        data={data}
        today={now.day}
        open={shown}
        onOpen={setOpen}
      />
      {open && !wide ? (
        <Sheet title={format.day(days[open.day]!)} open onClose={() => setOpen(null)}>
          {list}
        </Sheet>
      ) : null}
      <Prepare tasks={prepare} data={data} first={first} />
      {batches.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text variant="subtitle">Make ahead at the weekend</Text>
          <Text tone="quiet">These keep once prepared: make a week’s worth at once.</Text>
          <Card>
            {batches.map(({ foodId, steps, units }, index) => {
              const food = data.house.foods.find((one) => one.id === foodId);
              return food ? (
                <ListRow
                  key={foodId}
                  first={index === 0}
                  lead={<FoodSign family={familyOf(data, foodId)} />}
                  title={formatServing(
                    formatUnits(Math.ceil(units / food.unit.step) * food.unit.step, food.unit),
                    food.name,
                  )}
                  detail={formatPreparation(steps)}
                />
              ) : null;
            })}
          </Card>
        </View>
      ) : null}
    </Screen>
  );
}

interface Week {
  days: string[];
  rounds: Round[];
  /** Minutes by day, then moment. */
  work: Record<string, number>[];
  prepare: Preparing[];
  batches: ReturnType<typeof batchesOf>;
}

function weekOf(data: AppData, first: string): Week {
  const days = Array.from({ length: 7 }, (_, at) => addDays(first, at));
  const rounds = days.map((day) => compileRound(data.house, day));
  return {
    days,
    rounds,
    work: rounds.map((round) => workOf(round, data.foods)),
    prepare: preparingOf(data.house, data.foods, first, 7),
    batches: batchesOf(data.house, preparedFoods(data.foods), first, 7),
  };
}

const familyOf = (data: AppData, foodId: string): FoodFamily =>
  data.foods.find((food) => food.id === foodId)?.family ?? 'grain';

interface GridProps {
  days: readonly string[];
  work: readonly Record<string, number>[];
  rounds: readonly Round[];
  data: AppData;
  today: string;
  open: { day: number; momentId: string };
  onOpen: (open: { day: number; momentId: string }) => void;
}

function WorkGrid({ days, work, rounds, data, today, open, onOpen }: GridProps) {
  const styles = useStyles();
  const format = useFormat();
  const wide = useWide();
  const moments = data.moments.filter((moment) => !moment.archived);
  // By the first tank that is due at it, on any day.
  const times = new Map(
    rounds.flatMap((round) =>
      round.moments.map(({ moment, stops }): [string, number] => [
        moment.id,
        Math.min(...stops.map((stop) => stop.minutes)),
      ]),
    ),
  );
  const used = moments
    .filter((moment) => work.some((day) => (day[moment.id] ?? 0) > 0))
    .sort((a, b) => (times.get(a.id) ?? 0) - (times.get(b.id) ?? 0));
  const grid = (
    <View style={styles.grid} role="table" aria-label="Minutes of work by day and moment">
      <View style={styles.line} role="row">
        <View style={styles.head} />
        {days.map((day, at) => (
          <View
            key={day}
            role="columnheader"
            style={[
              wide ? styles.cellWide : styles.cell,
              day === today && styles.today,
              open.day === at && open.momentId === '' && styles.on,
            ]}
          >
            <Pressable
              role="button"
              aria-label={`All of ${format.day(day)}`}
              onPress={() => onOpen({ day: at, momentId: '' })}
              style={styles.day}
            >
              <Text variant="strong">{format.day(day).split(' ')[0]}</Text>
            </Pressable>
          </View>
        ))}
      </View>
      {used.map((moment) => (
        <View key={moment.id} style={[styles.line, styles.ruled]} role="row">
          <View style={styles.head} role="rowheader">
            <Text>{moment.name}</Text>
            <Text variant="small" tone="quiet">
              {moment.spareMin === null
                ? 'no limit said'
                : `${formatNumber(moment.spareMin, 0)} min to spare`}
            </Text>
          </View>
          {days.map((day, at) => {
            const minutes = work[at]?.[moment.id] ?? 0;
            const over = moment.spareMin !== null && minutes > moment.spareMin;
            const on = open.day === at && open.momentId === moment.id;
            return (
              <Pressable
                key={day}
                role="cell"
                aria-label={`${format.day(day)}, ${moment.name}: ${Math.round(minutes)} minutes${over ? ', more than you have' : ''}`}
                onPress={() => onOpen({ day: at, momentId: moment.id })}
                style={[
                  wide ? styles.cellWide : styles.cell,
                  day === today && styles.today,
                  on && styles.on,
                ]}
              >
                <Text variant="figure" tone={over ? 'due' : 'ink'}>
                  {minutes === 0 ? '–' : String(Math.round(minutes))}
                </Text>
                <Text variant="small" tone={over ? 'due' : 'quiet'}>
                  {minutes === 0
                    ? ''
                    : over
                      ? `${Math.round(minutes - (moment.spareMin ?? 0))} over`
                      : 'min'}
                </Text>
              </Pressable>
            );
          })}
        </View>
      ))}
    </View>
  );
  return <Card>{wide ? grid : <ScrollView horizontal>{grid}</ScrollView>}</Card>;
}

/** What a day holds, tank by tank; one moment of it where one was chosen. */
function DayList({
  day,
  momentId,
  week,
  data,
}: {
  day: number;
  momentId: string;
  week: Week;
  data: AppData;
}) {
  const format = useFormat();
  const wide = useWide();
  const round = week.rounds[day];
  if (!round) return null;
  const moments = round.moments.filter(({ moment }) => momentId === '' || moment.id === momentId);
  return (
    <View style={{ gap: 12 }}>
      {wide ? <Text variant="subtitle">{format.day(round.day)}</Text> : null}
      {moments.length === 0 ? <Text tone="quiet">Nothing is planned then.</Text> : null}
      {moments.map(({ moment, stops }) => (
        <Card key={moment.id} label={moment.name}>
          <View style={{ padding: 12 }}>
            <Text variant="strong">{moment.name}</Text>
          </View>
          {stops.map((stop) => (
            <ListRow
              key={stop.tank.id}
              title={`${format.time(stop.minutes)} ${stop.tank.name}`}
              detail={stop.servings
                .map(
                  ({ portion, food, group }) =>
                    `${formatServing(formatUnits(portion.units, food.unit), food.name)} for ${lowerFirst(group.name)}`,
                )
                .join(' · ')}
            />
          ))}
        </Card>
      ))}
      <Text variant="small" tone="quiet">
        {`${data.tanks.filter((tank) => !tank.archived).length} tanks; a stop counts a minute, each serving a third and what it takes to prepare.`}
      </Text>
    </View>
  );
}

/** What to prepare when, merged over tanks. */
function Prepare({
  tasks,
  data,
  first,
}: {
  tasks: readonly Preparing[];
  data: AppData;
  first: string;
}) {
  const format = useFormat();
  if (tasks.length === 0) return null;
  const dayOf = (minutes: number) => addDays(first, Math.floor(minutes / 1440));
  const byDay = group(tasks, ({ startMin }) => dayOf(startMin));
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">To prepare</Text>
      {[...byDay].map(([day, list]) => (
        <Card key={day} label={format.day(day)}>
          <View style={{ padding: 12, paddingBottom: 8 }}>
            <Text variant="strong">{format.day(day)}</Text>
          </View>
          {list.map(({ foodId, steps, startMin, readyMin, meals, units }) => {
            const food = data.house.foods.find((one) => one.id === foodId);
            const tanks = new Set(meals.map((meal) => meal.tankId));
            return food ? (
              <ListRow
                key={`${foodId} ${startMin}`}
                lead={<FoodSign family={familyOf(data, foodId)} />}
                title={`${format.time(wrap(startMin))} ${formatPreparation(steps)}: ${formatServing(formatUnits(units, food.unit), food.name)}`}
                detail={`ready by ${format.time(wrap(readyMin))} for ${
                  tanks.size === 1
                    ? (data.tanks.find((tank) => tanks.has(tank.id))?.name ?? 'a tank')
                    : `${tanks.size} tanks`
                }${meals.length > tanks.size ? `, ${meals.length} meals` : ''}`}
              />
            ) : null;
          })}
        </Card>
      ))}
    </View>
  );
}

const wrap = (minutes: number) => ((Math.round(minutes) % 1440) + 1440) % 1440;

const useStyles = themed((c) => ({
  grid: { flex: 1 },
  line: { flexDirection: 'row' },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  head: { width: 132, padding: 10 },
  cell: {
    width: 72,
    minHeight: SIZES.touch + 8,
    padding: 8,
    alignItems: 'center',
    justifyContent: 'center',
    borderLeftWidth: 1,
    borderColor: c.rule,
  },
  cellWide: {
    flex: 1,
    minHeight: SIZES.touch + 8,
    padding: 8,
    alignItems: 'center',
    justifyContent: 'center',
    borderLeftWidth: 1,
    borderColor: c.rule,
  },
  day: {
    minHeight: SIZES.touch,
    alignSelf: 'stretch',
    alignItems: 'center',
    justifyContent: 'center',
  },
  // Lines and no ground: what is over one's time is written in roe, and must be read on it.
  today: { borderLeftWidth: 2, borderRightWidth: 2, borderColor: c.ink2 },
  on: { outlineWidth: 2, outlineStyle: 'solid', outlineColor: c.ink, outlineOffset: -3 },
}));
