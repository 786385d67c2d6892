import type { LifeEventRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Card, ListRow, Text } from '../ui';
import { KeptPicture } from './KeptPicture';

export function SamplesCard({ events }: { events: LifeEventRow[] }) {
  const format = useFormat();
  const measured = events.filter(({ kind, withdrawn }) => kind === 'measured' && !withdrawn);
  const [shown, setShown] = useState<LifeEventRow | null>(null);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Measured</Text>
      <Card label="Measured">
        {measured.map((event, index) => (
          <ListRow
            key={event.id}
            first={index === 0}
            title={format.quantity('length', event.lengthCm!)}
            detail={[
              format.day(event.day),
              event.lengthsCm ? `${event.lengthsCm.length} measured` : 'mean only',
              event.massG === null ? null : `${formatGrams(event.massG)} each`,
              event.note,
            ]
              .filter(Boolean)
              .join(' · ')}
            trail={
              event.pictured ? (
                <Button
                  label="Picture"
                  spoken={`Picture of ${format.day(event.day)}`}
                  onPress={() => setShown(event)}
                />
              ) : undefined
            }
          />
        ))}
      </Card>
      <Text variant="small" tone="quiet">
        To correct or undo a measurement, open the history of the group.
      </Text>
      {shown ? <KeptPicture event={shown} onClose={() => setShown(null)} /> : null}
    </View>
  );
}
