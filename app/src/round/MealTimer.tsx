import type { MealInWater } from '@open-larder/contract';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useRow, type AppData } from '../store';
import { themed } from '../theme';
import { Button, Text, lowerFirst } from '../ui';
import { isLeaf, LEFT, liftAt, openDrops, type DropInWater } from './inWater';
import { nowMs } from '../store/clock';
import { useMealEnd } from './useMealEnd';

const MIN_MS = 60_000;

interface Props {
  meal: MealInWater;
  data: AppData;
  /** Say the tank with each food: where no tank stands above it. */
  apart?: boolean;
  /** Only what is to be lifted. */
  dueOnly?: boolean;
}

/** A meal under way: each food has its own clock, is gone at a tap, or is lifted with what is left. */
export function MealTimer({ meal, data, apart = false, dueOnly = false }: Props) {
  const styles = useStyles();
  const now = useSeconds();
  const note = useMealEnd(meal);
  const tank = data.tanks.find((one) => one.id === meal.tankId);
  if (!tank) return null;
  const isDue = (drop: DropInWater) => (minutesTo(liftAt(drop, tank, data.foods), now) ?? 1) <= 0;
  const open = openDrops(meal).filter(
    (drop) => isDue(drop) || !(dueOnly || isLeaf(drop, data.foods)),
  );
  if (open.length === 0) return null;
  const sinceMin = (drops: readonly DropInWater[]) =>
    Math.max(0, now - Math.min(...drops.map(({ at }) => Date.parse(at)))) / MIN_MS;
  const gone = (drops: readonly DropInWater[], name: string) => {
    const minutes = sinceMin(drops);
    // A leaf that is gone after weeks was not «gone after» minutes.
    if (drops.every((drop) => isLeaf(drop, data.foods))) {
      void note(drops, { clearedMin: null, left: 0, unwatched: false }, `${name}: gone.`);
      return;
    }
    const clearedMin = Math.min(1440, Math.round(minutes * 10) / 10);
    const seen = { clearedMin, left: null, unwatched: false };
    void note(drops, seen, `${name}: gone after ${formatClock(minutes)}.`);
  };
  return (
    <View style={styles.timer} aria-label={`In the water of ${tank.name}`}>
      {open.map((drop) => {
        const name = nameOf(drop, open, data);
        const line = `${tank.name}, ${name}`;
        return (
          <DropClock
            key={drop.key}
            name={name}
            title={apart ? `${tank.name}: ${lowerFirst(name)}` : name}
            tankName={tank.name}
            minutes={sinceMin([drop])}
            liftMin={minutesTo(liftAt(drop, tank, data.foods), now)}
            onGone={() => gone([drop], line)}
            onLeft={(left, label) =>
              void note(
                [drop],
                { clearedMin: null, left, unwatched: false },
                `${line}: ${left === 1 ? 'all of it' : label.toLowerCase()} was left.`,
              )
            }
            onUnwatched={() =>
              void note([drop], { clearedMin: null, left: null, unwatched: true }, null)
            }
          />
        );
      })}
      {open.length > 1 ? (
        <View style={styles.all}>
          <Button
            least="feeder"
            variant="bare"
            label="All of it is gone"
            spoken={`All of it is gone in ${tank.name}`}
            onPress={() => gone(open, tank.name)}
          />
        </View>
      ) : null}
    </View>
  );
}

const minutesTo = (at: number | null, now: number) => (at === null ? null : (at - now) / MIN_MS);

/** The food; with its group where two of the meal get the same. */
function nameOf(drop: DropInWater, all: readonly DropInWater[], { foods, groups }: AppData) {
  const food = foods.find(({ id }) => id === drop.foodId)?.name ?? 'Food';
  if (all.filter(({ foodId }) => foodId === drop.foodId).length < 2) return food;
  return `${food} for ${groups.find(({ id }) => id === drop.groupId)?.name ?? 'a group'}`;
}

interface DropClockProps {
  name: string;
  title: string;
  tankName: string;
  /** Since it went in. */
  minutes: number;
  /** Until it is lifted; null where it is left in. */
  liftMin: number | null;
  onGone: () => void;
  onLeft: (left: number, label: string) => void;
  onUnwatched: () => void;
}

/** One food in the water. */
function DropClock({ name, title, tankName, minutes, liftMin, ...acts }: DropClockProps) {
  const styles = useStyles();
  const row = useRow();
  const [asking, setAsking] = useState(false);
  const due = liftMin !== null && liftMin <= 0;
  const spoken = `${name} in ${tankName}`;
  return (
    <View role="timer" aria-label={spoken}>
      <View style={[styles.line, row]}>
        <Text variant="figure" tone={due ? 'due' : 'ink'}>
          {formatClock(minutes)}
        </Text>
        <View style={styles.words}>
          <Text variant="small">{title}</Text>
          <Text variant="small" tone={due ? 'due' : 'quiet'}>
            {due
              ? 'remove leftovers'
              : liftMin === null
                ? 'in the water'
                : `lift in ${formatClock(liftMin)}`}
          </Text>
        </View>
        <Button least="feeder" label="Gone" spoken={`Gone: ${spoken}`} onPress={acts.onGone} />
        <Button
          least="feeder"
          variant="bare"
          label="Left"
          spoken={`Some is left: ${spoken}`}
          onPress={() => setAsking(!asking)}
        />
      </View>
      {asking ? (
        <View style={styles.left}>
          {LEFT.map(({ value, label }) => (
            <Button
              least="feeder"
              key={value}
              label={label}
              spoken={`${label} was left: ${spoken}`}
              onPress={() => acts.onLeft(value, label)}
            />
          ))}
          <Button
            least="feeder"
            variant="bare"
            label="Not watched"
            spoken={`Not watched: ${spoken}`}
            onPress={acts.onUnwatched}
          />
        </View>
      ) : null}
    </View>
  );
}

/** The time, read anew every second. */
function useSeconds(): number {
  const [now, setNow] = useState(() => nowMs());
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), 1000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** «4:12», «1 h 20 min», «12 days» */
function formatClock(minutes: number): string {
  const seconds = Math.max(0, Math.round(minutes * 60));
  if (seconds >= 172_800) return `${Math.floor(seconds / 86_400)} days`;
  if (seconds < 3600) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  return `${Math.floor(seconds / 3600)} h ${Math.floor((seconds % 3600) / 60)} min`;
}

const useStyles = themed((c) => ({
  timer: {
    borderTopWidth: 1,
    borderColor: c.rule,
    paddingLeft: 12,
    paddingRight: 4,
    paddingVertical: 4,
    gap: 4,
  },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  words: { flex: 1, minWidth: 0 },
  left: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingBottom: 8 },
  all: { alignItems: 'flex-start' },
}));
