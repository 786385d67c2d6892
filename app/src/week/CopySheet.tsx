import { copyDay } from '@open-larder/core/week';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { cycleDays, useFormat } from '../store';
import { Button, Choice, Choices, Sheet } from '../ui';
import type { Board } from './useBoard';

/** What stands on one day, put on others too. */
export function CopySheet({ board, onClose }: { board: Board; onClose: () => void }) {
  const format = useFormat();
  const days = cycleDays(format, board.draft.cycle);
  const [from, setFrom] = useState(1);
  const [to, setTo] = useState<number[]>([]);
  return (
    <Sheet title="Copy a day" open onClose={onClose}>
      <Choice label="Of" value={from} options={days} onChange={setFrom} />
      <Choices
        label="Onto"
        value={to}
        options={days.filter((day) => day.value !== from)}
        onChange={setTo}
        hint="The plan of these days is replaced, for every group of the tank."
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Copy"
          disabled={to.length === 0}
          onPress={() => {
            board.edit((draft) => ({
              ...draft,
              diets: draft.diets.map((diet) => ({
                ...diet,
                servings: copyDay(diet.servings, from, to, uuidv7) as typeof diet.servings,
              })),
            }));
            onClose();
          }}
        />
      </View>
    </Sheet>
  );
}
