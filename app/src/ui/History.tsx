import { useState } from 'react';
import { View } from 'react-native';
import { Button } from './Button';
import { Card } from './Card';
import { ListRow } from './ListRow';
import { Text } from './Text';

/** One thing that happened, as it is shown. */
interface Happened {
  id: string;
  title: string;
  /** Its day, and what is left out where there is none. */
  detail: readonly (string | null | undefined)[];
  /** Its day, which a screen reader says after the title. */
  day: string;
  /** Takes it back; left out where it cannot be, or not from here. */
  undo?: () => void;
  onPress?: () => void;
}

/** Events shown at once; the rest wait for a tap. */
const FIRST = 6;

/** What happened to something, newest first. Nothing is shown where nothing happened. */
export function History({ events }: { events: readonly Happened[] }) {
  const [all, setAll] = useState(false);
  if (events.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">History</Text>
      <Card label="History">
        {(all ? events : events.slice(0, FIRST)).map(
          ({ id, title, detail, day, undo, onPress }, index) => (
            <ListRow
              key={id}
              first={index === 0}
              title={title}
              detail={detail.filter(Boolean).join(' · ')}
              onPress={onPress}
              trail={
                undo ? (
                  <Button
                    variant="bare"
                    label="Undo"
                    spoken={`Undo: ${title}, ${day}`}
                    onPress={undo}
                  />
                ) : onPress ? undefined : (
                  <View />
                )
              }
            />
          ),
        )}
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
