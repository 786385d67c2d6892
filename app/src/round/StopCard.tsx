import type {
  Feeding,
  MealInWater,
  RoundParents,
  RoundServingView,
  RoundStopView,
  Tank,
} from '@open-larder/contract';
import { toServingUnits } from '@open-larder/core/food';
import { formatUnits } from '@open-larder/say';
import { BELLY_WORDS } from '@open-larder/core/ration';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { themed } from '../theme';
import { Button, Card, Text } from '../ui';
import { NumberTag } from '../tank/NumberTag';
import { TankPicture } from '../tank/TankPicture';
import { lateOf, formatLate, type Meals } from './late';
import { lookAgain } from './lookAgain';
import { MealTimer } from './MealTimer';
import { ParentsLine } from './ParentsLine';
import { ServingRow } from './ServingRow';
import type { ServedPortion } from './useFeed';
import type { YoungMeal } from './useWalkWork';

/** What is done at a tank. Always the same functions, whatever the round is. */
export interface Acts {
  /** As planned, where no other portion is given. */
  serve: (serving: RoundServingView, portion?: ServedPortion) => boolean;
  serveAll: (servings: RoundServingView[], what: string) => void;
  other: (serving: RoundServingView) => void;
  undo: (fed: Feeding) => void;
  look: (tank: Tank) => void;
  /** Something more than is planned. */
  besides: (tank: Tank) => void;
  /** What young in tubs get now, in all of their tubs. */
  giveYoung: (meal: YoungMeal) => void;
  /** Unfold a tank, or fold it. */
  open: (tankId: string, open: boolean) => void;
}

interface Props {
  stop: RoundStopView;
  day: string;
  momentId: string;
  data: AppData;
  /** What of this stop is in the water now. */
  meal: MealInWater | null;
  /** When each group is fed that day. */
  meals: Meals;
  /** Minutes of the day that are over; null for another day. */
  minutes: number | null;
  /** The serving of this tank that is next in the whole round; null where it is elsewhere. */
  nextId: string | null;
  /** «change 8 L»; empty where its water waits for nothing. */
  water: string;
  /** Groups of this tank whose portions a brood changes today. */
  parents: readonly RoundParents[];
  /** Without its picture where that is drawn larger beside it. */
  pictured?: boolean;
  acts: Acts;
}

/**
 * One tank on the walk: its picture and its servings. Drawn anew only when something of its own
 * changes: a tap at one tank must not cost the drawing of all.
 */
export const StopCard = memo(function StopCard({
  stop,
  day,
  momentId,
  data,
  meal,
  meals,
  minutes,
  nextId,
  water,
  parents,
  pictured = true,
  acts,
}: Props) {
  const router = useRouter();
  const styles = useStyles();
  const format = useFormat();
  const tank = data.tanks.find((one) => one.id === stop.tankId);
  if (!tank) return null;
  const again = lookAgain(data.groupsIn.get(tank.id) ?? [], day);
  const lateLine = (serving: RoundServingView) => {
    const late = minutes === null ? null : lateOf(meals, stop, serving, data, { day, minutes });
    if (!late) return null;
    const half = toServingUnits(serving.massG / 2, serving.unit);
    const skip = late.part === 0 || half >= serving.units;
    return {
      says: formatLate(late, format),
      label:
        late.part === 1 ? null : skip ? 'Leave it out' : `Log ${formatUnits(half, serving.unit)}`,
      onLog: () =>
        acts.serve(
          serving,
          skip
            ? { outcome: 'skipped', units: 0, note: 'missed' }
            : { outcome: 'less', units: half, note: 'late' },
        ),
    };
  };
  const due = stop.servings.filter((serving) => serving.fed === null);
  return (
    <Card marked={nextId !== null} label={tank.name}>
      <View style={styles.head}>
        <View style={styles.words}>
          <Pressable
            role="button"
            aria-expanded
            aria-label={`${tank.name}: ${due.length === 0 ? 'all served' : `${due.length} to serve`}`}
            onPress={() => acts.open(tank.id, false)}
            style={styles.title}
          >
            <NumberTag number={tank.walkOrder} />
            <Text variant="subtitle" tone={due.length === 0 ? 'done' : 'ink'}>
              {tank.name}
            </Text>
            <Text variant="small" tone="quiet">
              {water || (due.length === 0 ? 'all served' : format.time(stop.minutes))}
            </Text>
          </Pressable>
          <View style={styles.acts}>
            <Button
              least="feeder"
              variant="bare"
              label="Look"
              spoken={`Look at the fish of ${tank.name}`}
              onPress={() => acts.look(tank)}
            />
            <Button
              least="feeder"
              variant="bare"
              label="More"
              spoken={`Give something more in ${tank.name}`}
              onPress={() => acts.besides(tank)}
            />
            <Button
              variant="bare"
              label="Who gets it"
              spoken={`Who gets the food in ${tank.name}`}
              onPress={() => router.push(`/tanks/${tank.id}/play?moment=${momentId}&day=${day}`)}
            />
          </View>
        </View>
        {due.length > 0 && pictured ? <TankPicture tank={tank} data={data} width={118} /> : null}
      </View>
      <ParentsLine parents={parents} />
      {stop.servings.map((serving) => (
        <ServingRow
          key={serving.servingId}
          serving={serving}
          day={day}
          next={serving.servingId === nextId}
          late={lateLine(serving)}
          onServe={() => acts.serve(serving)}
          onOther={() => acts.other(serving)}
          onUndo={acts.undo}
        />
      ))}
      {meal ? <MealTimer meal={meal} data={data} /> : null}
      {again.map(({ name, belly }) => (
        <View key={name} style={styles.again}>
          <Text tone="due">
            {`${name} had ${BELLY_WORDS[belly!.score]} bellies on ${format.day(belly!.day)}: check again.`}
          </Text>
        </View>
      ))}
      {due.length > 1 ? (
        <View style={styles.all}>
          <Button
            least="feeder"
            variant="bare"
            label={`All of ${tank.name} as planned`}
            onPress={() => acts.serveAll(due, tank.name)}
          />
        </View>
      ) : null}
    </Card>
  );
});

const useStyles = themed((c) => ({
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingLeft: 12, paddingRight: 6 },
  words: { flex: 1, minWidth: 0 },
  title: { minHeight: 44, flexDirection: 'row', alignItems: 'center', gap: 8, paddingTop: 4 },
  acts: { flexDirection: 'row', marginLeft: -8, marginTop: -6 },
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
