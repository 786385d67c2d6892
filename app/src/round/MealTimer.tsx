import type { BodyOf, Problem } from '@open-larder/contract';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { api, useAppDispatch, useRow, type HouseData } from '../store';
import { themed } from '../theme';
import { Button, Text, useSay } from '../ui';
import { liftAt, watchEnded, watchedAgain, type Watched } from './watched';
import { nowMs } from '../store/clock';
import { stampFor } from '../store/intent';

const LEFT = [
  { value: 0, label: 'Nothing' },
  { value: 0.25, label: 'A quarter' },
  { value: 0.5, label: 'Half' },
  { value: 0.75, label: 'Three quarters' },
  { value: 1, label: 'All of it' },
];

/** A meal under way: how long it has been in, gone at a tap, or what is left when it is lifted. */
export function MealTimer({ meal, data }: { meal: Watched; data: HouseData }) {
  const styles = useStyles();
  const say = useSay();
  const dispatch = useAppDispatch();
  const row = useRow();
  const now = useSeconds();
  const [add] = api.useAddSightingMutation();
  const [undo] = api.useUndoSightingMutation();
  const [asking, setAsking] = useState(false);
  const tank = data.tanks.find((one) => one.id === meal.tankId);
  if (!tank) return null;
  const lift = liftAt(meal, tank, data.foods);
  const due = lift !== null && now >= lift;
  const minutes = Math.max(0, now - meal.since) / 60_000;
  const note = async (seen: { clearedMin: number | null; left: number | null }, text: string) => {
    const body: BodyOf<'addSighting'> = {
      id: stampFor('meal', meal.tankId, meal.day, meal.momentId, meal.since, seen.left).id,
      day: meal.day,
      momentId: meal.momentId,
      came: [],
      drops: meal.drops,
      ...seen,
    };
    dispatch(watchEnded(meal));
    const done = await add({ params: { id: meal.tankId }, body });
    if (done.error) {
      dispatch(watchedAgain(meal));
      say((done.error as Problem).detail, { tone: 'fault' });
      return;
    }
    say(text, {
      undo: () => {
        dispatch(watchedAgain(meal));
        void undo({ params: { id: body.id }, body: stampFor('undo', body.id) });
      },
    });
  };
  const gone = () => {
    const clearedMin = Math.min(1440, Math.round(minutes * 10) / 10);
    void note({ clearedMin, left: null }, `${tank.name}: gone after ${sayClock(minutes)}.`);
  };
  const lifted = (left: number, label: string) =>
    void note({ clearedMin: null, left }, `${tank.name}: ${label.toLowerCase()} was left.`);
  return (
    <View style={styles.timer} role="timer" aria-label={`Meal in ${tank.name}`}>
      <View style={[styles.line, row]}>
        <Text look="figure" tone={due ? 'due' : 'ink'}>
          {sayClock(minutes)}
        </Text>
        <View style={styles.words}>
          <Text look="small" tone={due ? 'due' : 'quiet'}>
            {due
              ? 'Lift what is left'
              : lift === null
                ? 'in the water; nothing of it is lifted'
                : `in the water; lift in ${sayClock((lift - now) / 60_000)}`}
          </Text>
        </View>
        <Button label="Gone" spoken={`Gone: the meal in ${tank.name}`} onPress={gone} />
        <Button
          look="bare"
          label="Left"
          spoken={`Some is left in ${tank.name}`}
          onPress={() => setAsking(!asking)}
        />
      </View>
      {asking || due ? (
        <View style={styles.left}>
          {LEFT.map(({ value, label }) => (
            <Button
              key={value}
              label={label}
              spoken={`${label} was left in ${tank.name}`}
              onPress={() => lifted(value, label)}
            />
          ))}
          <Button
            look="bare"
            label="Nobody looked"
            spoken={`Nobody looked in ${tank.name}`}
            onPress={() => dispatch(watchEnded(meal))}
          />
        </View>
      ) : null}
    </View>
  );
}

/** The time, told anew every second. */
function useSeconds(): number {
  const [now, setNow] = useState(() => nowMs());
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), 1000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** «4:12», «1 h 20 min» */
function sayClock(minutes: number): string {
  const seconds = Math.max(0, Math.round(minutes * 60));
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
}));
