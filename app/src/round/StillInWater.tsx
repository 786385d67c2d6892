import type { MealInWater, RoundView } from '@open-larder/contract';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useNow, type AppData } from '../store';
import { nowMs } from '../store/clock';
import { Button, Card } from '../ui';
import { isLeaf, liftAt, mealKey, openDrops } from './inWater';
import { MealTimer } from './MealTimer';

/** What is still in the water from other moments, or of tanks without a stop here. */
export const StillInWater = memo(function StillInWater({
  data,
  round,
  momentId,
}: {
  data: AppData;
  round: RoundView;
  momentId: string;
}) {
  const [all, setAll] = useState(false);
  const stops = round.moments.find((one) => one.momentId === momentId)?.stops ?? [];
  const here = new Set(stops.map(({ tankId }) => mealKey({ day: round.day, momentId, tankId })));
  const others = round.inWater.filter((meal) => !here.has(mealKey(meal)));
  // What is due becomes so by itself: it is looked at again each minute.
  useNow();
  const due = (meal: MealInWater, leaves = false) => dueDrops(meal, data, nowMs(), leaves);
  const shown = all ? others : others.filter((meal) => due(meal) > 0);
  const dueCount = others.reduce((sum, meal) => sum + due(meal), 0);
  // Leaves lie for weeks: until they are to be replaced they are seen at their tank.
  const meals = (meal: MealInWater) => openDrops(meal).filter((drop) => !isLeaf(drop, data.foods));
  const leavesDue = others.reduce((sum, meal) => sum + due(meal, true), 0);
  const more = others.reduce((sum, meal) => sum + meals(meal).length, 0) - (dueCount - leavesDue);
  if (dueCount === 0 && more === 0) return null;
  return (
    <Card label="Still in the water">
      {shown.map((meal) => (
        <MealTimer key={mealKey(meal)} meal={meal} data={data} apart dueOnly={!all} />
      ))}
      {more > 0 && !all ? (
        <View style={{ alignItems: 'flex-start', paddingHorizontal: 4 }}>
          <Button
            variant="bare"
            label={`${more} ${dueCount > 0 ? 'more ' : ''}still in the water`}
            onPress={() => setAll(true)}
          />
        </View>
      ) : null}
    </Card>
  );
});

/** How many foods of a meal are to be lifted by now; of its leaves alone where asked. */
function dueDrops(
  meal: MealInWater,
  { tanks, foods }: AppData,
  now: number,
  leaves: boolean,
): number {
  const tank = tanks.find(({ id }) => id === meal.tankId);
  return openDrops(meal).filter((drop) => {
    if (leaves && !isLeaf(drop, foods)) return false;
    const at = tank ? liftAt(drop, tank, foods) : null;
    return at !== null && at <= now;
  }).length;
}
