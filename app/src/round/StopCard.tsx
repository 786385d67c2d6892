import type {
  Feeding,
  RoundServingView,
  RoundStopView,
  RoundView,
  Tank,
} from '@open-larder/contract';
import { sayUnits, toHandUnits } from '@open-larder/core/food';
import { BELLY_WORDS } from '@open-larder/core/ration';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useAppSelector, useWords, type HouseData } from '../store';
import { themed } from '../theme';
import { Button, Card, Text } from '../ui';
import { NumberTag } from '../tank/NumberTag';
import { TankPicture } from '../tank/TankPicture';
import { lateOf, sayLate } from './late';
import { lookAgain } from './lookAgain';
import { MealTimer } from './MealTimer';
import { ServingRow } from './ServingRow';
import type { Deal } from './useFeed';
import { mealKey } from './watched';

interface Props {
  stop: RoundStopView;
  day: string;
  momentId: string;
  data: HouseData;
  /** The whole day, and minutes of it that are over; null for another day. */
  round: RoundView;
  minutes: number | null;
  /** Serving that is next in the whole round. */
  nextId: string | null;
  onServe: (serving: RoundServingView) => void;
  onDeal: (serving: RoundServingView, deal: Deal) => void;
  onServeAll: (servings: RoundServingView[], what: string) => void;
  onOther: (serving: RoundServingView) => void;
  onUndo: (fed: Feeding) => void;
  onLook: (tank: Tank) => void;
}

/** One tank on the walk: its picture and its servings. */
export function StopCard({
  stop,
  day,
  momentId,
  data,
  round,
  minutes,
  nextId,
  onServe,
  onDeal,
  onServeAll,
  onOther,
  onUndo,
  onLook,
}: Props) {
  const router = useRouter();
  const styles = useStyles();
  const words = useWords();
  const meal = useAppSelector(
    (state) => state.watched[mealKey({ day, momentId, tankId: stop.tankId })],
  );
  const tank = data.tanks.find((one) => one.id === stop.tankId);
  if (!tank) return null;
  const again = lookAgain(data.groupsIn.get(tank.id) ?? [], day);
  const lateLine = (serving: RoundServingView) => {
    const late = minutes === null ? null : lateOf(round, stop, serving, data, minutes);
    if (!late) return null;
    const half = toHandUnits(serving.massG / 2, serving.unit);
    const skip = late.part === 0 || half >= serving.units;
    return {
      says: sayLate(late, words),
      label: late.part === 1 ? null : skip ? 'Leave it out' : `Log ${sayUnits(half, serving.unit)}`,
      onLog: () =>
        onDeal(
          serving,
          skip
            ? { outcome: 'skipped', units: 0, note: 'missed' }
            : { outcome: 'less', units: half, note: 'late' },
        ),
    };
  };
  const due = stop.servings.filter((serving) => serving.fed === null);
  const isNext = stop.servings.some((serving) => serving.servingId === nextId);
  return (
    <Card marked={isNext} label={tank.name}>
      <View style={styles.head}>
        <View style={styles.words}>
          <View style={styles.title}>
            <NumberTag number={tank.walkOrder} />
            <Text look="subtitle" tone={due.length === 0 ? 'done' : 'ink'}>
              {tank.name}
            </Text>
          </View>
          <Text look="small" tone="quiet">
            {due.length === 0
              ? 'All served'
              : `${words.time(stop.minutes)} · ${due.length} to serve`}
          </Text>
        </View>
        {due.length > 0 ? <TankPicture tank={tank} data={data} width={118} /> : null}
      </View>
      {stop.servings.map((serving) => (
        <ServingRow
          key={serving.servingId}
          serving={serving}
          day={day}
          next={serving.servingId === nextId}
          late={lateLine(serving)}
          onServe={() => onServe(serving)}
          onOther={() => onOther(serving)}
          onUndo={onUndo}
        />
      ))}
      {meal ? <MealTimer meal={meal} data={data} /> : null}
      {again.map(({ name, belly }) => (
        <View key={name} style={styles.again}>
          <Text tone="due">
            {`${name} were ${BELLY_WORDS[belly!.score]} on ${words.day(belly!.day)}: look again.`}
          </Text>
        </View>
      ))}
      <View style={styles.all}>
        {due.length > 1 ? (
          <Button
            look="bare"
            label={`All of ${tank.name} as planned`}
            onPress={() => onServeAll(due, tank.name)}
          />
        ) : null}
        <Button
          look="bare"
          label="Look"
          spoken={`Look at the fish of ${tank.name}`}
          onPress={() => onLook(tank)}
        />
        <Button
          look="bare"
          label="Who gets it"
          spoken={`Who gets the food in ${tank.name}`}
          onPress={() => router.push(`/tanks/${tank.id}/play?moment=${momentId}&day=${day}`)}
        />
      </View>
    </Card>
  );
}

const useStyles = themed((c) => ({
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, padding: 12 },
  words: { flex: 1, minWidth: 0, gap: 4 },
  title: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  again: { paddingHorizontal: 12, paddingVertical: 8, borderTopWidth: 1, borderColor: c.rule },
  all: {
    borderTopWidth: 1,
    borderColor: c.rule,
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    paddingHorizontal: 4,
  },
}));
