import type { Feeding, RoundView } from '@open-larder/contract';
import { formatServing, formatUnits } from '@open-larder/say';
import { memo } from 'react';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Button, Card, ListRow, Text } from '../ui';

interface Props extends Pick<RoundView, 'unplanned'> {
  data: AppData;
  onUndo: (fed: Feeding) => void;
}

/** What was logged that day beside the plan, or for servings that have left it since: it stays in sight. */
export const Unplanned = memo(function Unplanned({ unplanned, data, onUndo }: Props) {
  if (unplanned.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Served beside the plan</Text>
      <Card>
        {unplanned.map((fed, index) => {
          const food = data.foods.find((one) => one.id === fed.foodId);
          const group = data.groups.find((one) => one.id === fed.groupId);
          return (
            <ListRow
              key={fed.id}
              first={index === 0}
              title={
                food
                  ? formatServing(formatUnits(fed.units, food.unit), food.name)
                  : 'A food that left the shelf'
              }
              detail={`${group?.name ?? 'A group that ended'} · ${fed.outcome}`}
              trail={
                <Button least="feeder" variant="bare" label="Undo" onPress={() => onUndo(fed)} />
              }
            />
          );
        })}
      </Card>
    </View>
  );
});
