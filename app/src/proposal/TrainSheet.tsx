import type { Group } from '@open-larder/contract';
import { useState } from 'react';
import type { AppData } from '../store';
import { Button, Sheet, Text, lowerFirst } from '../ui';
import { Picker } from '../ui/Picker';
import { useAnswer } from './useAnswer';

interface Props {
  group: Group;
  data: AppData;
  onClose: () => void;
}

/** Begin a training of one's own accord: onto which food, with which serving. */
export function TrainSheet({ group, data, onClose }: Props) {
  const answer = useAnswer();
  const servings = group.diet?.servings ?? [];
  const [servingId, setServing] = useState(servings[0]?.id ?? '');
  const [foodId, setFood] = useState('');
  const nameOf = (id: string) => data.foods.find((food) => food.id === id)?.name ?? 'a food';
  const momentOf = (id: string) =>
    lowerFirst(data.moments.find((moment) => moment.id === id)?.name ?? '');
  const knownId = servings.find(({ id }) => id === servingId)?.foodId;
  const begin = async () => {
    const about = `${group.name} onto ${lowerFirst(nameOf(foodId))}`;
    if (await answer.begin({ groupId: group.id, servingId, foodId }, about)) onClose();
  };
  return (
    <Sheet title={`Train ${lowerFirst(group.name)} onto a food`} open onClose={onClose}>
      {servings.length === 0 ? (
        <Text>Plan a serving of a food that they take first: the new one is mixed into it.</Text>
      ) : (
        <>
          <Text tone="quiet">
            A little of the new food among one that they take: 10, 25, 50, 75 and 100 %, the next
            step once they took it twice in a row. Their other meals stay as they are.
          </Text>
          <Picker
            label="New food"
            value={foodId}
            search
            placeholder="Choose a food"
            picks={data.foods
              .filter((food) => !food.archived && food.id !== knownId)
              .map((food) => ({ value: food.id, title: food.name }))}
            onChange={setFood}
          />
          <Picker
            label="Mixed into"
            value={servingId}
            picks={servings.map((one) => ({
              value: one.id,
              title: nameOf(one.foodId),
              detail: `${momentOf(one.momentId)}, on ${one.days.length} days`,
            }))}
            onChange={setServing}
          />
          <Button
            variant="primary"
            label="Begin the training"
            disabled={foodId === '' || foodId === knownId}
            onPress={() => begin()}
          />
        </>
      )}
    </Sheet>
  );
}
