import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Card, ListRow, Sheet, Text } from '../ui';
import { DateField } from '../ui/DateField';
import { useBroodEvent, type Said } from './useBroodEvent';
import type { Brood } from './useBroods';
import { RecordNote } from '../forecasts/RecordNote';
import { formatWindow, stageWords } from './labels';

/** The stages of a brood on their days; what is expected is corrected by a tap when it is seen. */
export function StagesCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const now = useNow();
  const logEvent = useBroodEvent();
  const [other, setOther] = useState(false);
  const { state, stages, next } = brood.status;
  const kind = next && next.stage !== 'wet' ? SEEN[next.stage] : null;
  const seen = (event: Said) =>
    logEvent(
      brood.id,
      event,
      `${stageWords(next!.stage, brood)}: noted. The other dates follow from it.`,
    );
  return (
    <Card label="Its days">
      {state.spawnedOn ? (
        <ListRow first title="Spawned" trail={<Text>{format.day(state.spawnedOn)}</Text>} />
      ) : null}
      {stages.map((stage, index) => (
        <ListRow
          key={stage.stage}
          first={index === 0 && !state.spawnedOn}
          title={stageWords(stage.stage, brood)}
          detail={
            stage.seen
              ? 'seen'
              : `expected; between ${format.day(stage.from)} and ${format.day(stage.to)}`
          }
          trail={<Text tone={stage.seen ? 'ink' : 'due'}>{format.day(stage.day)}</Text>}
        />
      ))}
      {kind && next?.stage !== 'born' ? (
        <View style={{ paddingHorizontal: 12, paddingTop: 8 }}>
          <RecordNote kind={next?.stage === 'swim' ? 'swim' : 'hatch'} />
        </View>
      ) : null}
      {kind ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 12 }}>
          <Button
            least="feeder"
            variant="primary"
            label={`${stageWords(next!.stage, brood)}: seen today`}
            onPress={() => seen({ kind })}
          />
          <Button least="feeder" label="On another day" onPress={() => setOther(true)} />
        </View>
      ) : null}
      {stages.length === 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 12 }}>
          <Button
            least="feeder"
            variant="primary"
            label="Spawned today"
            onPress={() => logEvent(brood.id, { kind: 'spawned' }, 'Spawning is noted.')}
          />
          {state.phase === 'conditioning' ? (
            <Button
              least="feeder"
              label="Put together today"
              onPress={() => logEvent(brood.id, { kind: 'paired' }, 'They are together.')}
            />
          ) : null}
        </View>
      ) : null}
      {other && kind ? (
        <OtherDay
          title={stageWords(next!.stage, brood)}
          day={next!.day < now.day ? next!.day : now.day}
          detail={formatWindow(next!, format)}
          onClose={() => setOther(false)}
          onDay={async (day) => {
            if ((await seen({ kind, day })) === null) setOther(false);
          }}
        />
      ) : null}
    </Card>
  );
}

const SEEN = { hatch: 'hatched', swim: 'swimming', born: 'swimming' } as const;

function OtherDay({
  title,
  day: first,
  detail,
  onClose,
  onDay,
}: {
  title: string;
  day: string;
  detail: string;
  onClose: () => void;
  onDay: (day: string) => void;
}) {
  const [day, setDay] = useState<string | null>(first);
  return (
    <Sheet title={title} open onClose={onClose}>
      <Text tone="quiet">It was expected on {detail}.</Text>
      <DateField label="Seen on" value={day} onChange={setDay} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          least="feeder"
          variant="primary"
          label="Note it"
          disabled={day === null}
          onPress={() => day !== null && onDay(day)}
        />
      </View>
    </Sheet>
  );
}
