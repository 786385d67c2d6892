import { memo } from 'react';
import { View } from 'react-native';
import { useAppSelector, type HouseData } from '../store';
import { Card, Text } from '../ui';
import { MealTimer } from './MealTimer';
import { mealKey } from './watched';

/** Meals of other moments that are still in the water: a slice that lies until it is lifted. */
export const StillWatched = memo(function StillWatched({
  data,
  day,
  momentId,
}: {
  data: HouseData;
  day: string;
  momentId: string;
}) {
  const watched = useAppSelector((state) => state.watched);
  const others = Object.values(watched)
    .filter((meal) => meal.day !== day || meal.momentId !== momentId)
    .sort((a, b) => a.since - b.since);
  if (others.length === 0) return null;
  return (
    <Card label="Still in the water">
      <View style={{ padding: 12 }}>
        <Text look="strong">Still in the water</Text>
      </View>
      {others.map((meal) => (
        <View key={mealKey(meal)}>
          <View style={{ paddingHorizontal: 12 }}>
            <Text>{data.tanks.find((tank) => tank.id === meal.tankId)?.name ?? ''}</Text>
          </View>
          <MealTimer meal={meal} data={data} />
        </View>
      ))}
    </Card>
  );
});
