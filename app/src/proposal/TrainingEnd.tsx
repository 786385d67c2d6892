import type { Group } from '@open-larder/contract';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Button, Card, Text, lowerFirst } from '../ui';
import { useAnswer } from './useAnswer';

/** A training that has come to its end, the good one or the other: what now is asked. */
export function TrainingEnd({ group, data }: { group: Group; data: AppData }) {
  const answer = useAnswer();
  const { training } = group;
  if (!training?.ends) return null;
  const food = lowerFirst(data.foods.find(({ id }) => id === training.foodId)?.name ?? 'the food');
  const taken = training.ends === 'taken';
  return (
    <Card label={`Training of ${group.name}`}>
      <View style={{ padding: 12, gap: 8 }}>
        <Text variant="strong">
          {taken ? `${group.name} take ${food} now` : `${group.name} do not learn ${food}`}
        </Text>
        <Text variant="small" tone="quiet">
          {taken
            ? `They took it on its own, twice in a row. It can replace the food it was mixed with.`
            : `Refused six times in a row, at the smallest share. Another food, or another form of it, may be the better way.`}
        </Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {taken ? (
            <Button
              least="keeper"
              label="Into the diet"
              spoken={`Put ${food} into the diet of ${group.name}`}
              onPress={() => answer.keep(group, training, food)}
            />
          ) : null}
          <Button
            least="keeper"
            variant={taken ? 'bare' : 'plain'}
            label="End the training"
            spoken={`End the training of ${group.name}`}
            onPress={() => answer.stop(group, training)}
          />
        </View>
      </View>
    </Card>
  );
}
