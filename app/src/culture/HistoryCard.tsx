import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useFormat } from '../store';
import { Button, Card, ListRow, Text, useToast, Waiting } from '../ui';
import { formatEvent } from './labels';
import { stampFor } from '../store/intent';

/** Events shown at once; the rest wait for a tap. */
const FIRST = 6;

/** What happened to a vessel, newest first; each can be taken back, never erased. */
export function HistoryCard({ vesselId }: { vesselId: string }) {
  const format = useFormat();
  const toast = useToast();
  const { data: events, error, refetch } = api.useVesselEventsQuery(vesselId);
  const [undo] = api.useUndoVesselEventMutation();
  const [all, setAll] = useState(false);
  if (!events) return <Waiting of={{ error, refetch }} rows={3} height={52} />;
  if (events.length === 0) return null;
  const shown = all ? events : events.slice(0, FIRST);
  const takeBack = async (id: string) => {
    const answer = await undo({ params: { id }, body: stampFor('undo', id) });
    if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    else toast('Taken back.');
  };
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">History</Text>
      <Card label="History">
        {shown.map((event, index) => {
          const title = formatEvent(event, format);
          return (
            <ListRow
              key={event.id}
              first={index === 0}
              title={title}
              detail={[format.day(event.day), event.hand, event.note].filter(Boolean).join(' · ')}
              trail={
                event.feedingId === null ? (
                  <Button
                    variant="bare"
                    label="Undo"
                    spoken={`Undo: ${title}, ${format.day(event.day)}`}
                    onPress={() => takeBack(event.id)}
                  />
                ) : (
                  <View />
                )
              }
            />
          );
        })}
      </Card>
      {events.length > FIRST ? (
        <Button
          variant="bare"
          label={all ? 'Only the newest' : `All ${events.length} events`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
