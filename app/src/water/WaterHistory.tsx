import type { WaterEventRow, WaterRow } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Card, ListRow, Text } from '../ui';
import { useWaterUndo } from './useWaterEvent';
import { formatWaterEvent } from './labels';

/** Events shown at once; the rest wait for a tap. */
const FIRST = 6;

export function WaterHistory({ row, events }: { row: WaterRow; events: WaterEventRow[] }) {
  const format = useFormat();
  const takeBack = useWaterUndo();
  const [all, setAll] = useState(false);
  if (events.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">History</Text>
      <Card label="History">
        {(all ? events : events.slice(0, FIRST)).map((event, index) => {
          const title = formatWaterEvent(event, format, row.litres);
          return (
            <ListRow
              key={event.id}
              first={index === 0}
              title={title}
              detail={[format.day(event.day), event.hand, event.note].filter(Boolean).join(' · ')}
              trail={
                <Button
                  variant="bare"
                  label="Undo"
                  spoken={`Undo: ${title}, ${format.day(event.day)}`}
                  onPress={() => takeBack(event.id)}
                />
              }
            />
          );
        })}
      </Card>
      {events.length > FIRST ? (
        <Button
          variant="bare"
          label={all ? 'Only the newest' : `All ${events.length}`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
