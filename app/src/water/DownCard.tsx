import type { Tank, WaterRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core/round';
import { formatNumber, formatMgL } from '@open-larder/say';
import type { WaterStatus } from '@open-larder/core/water/status';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Card, ListRow, Text } from '../ui';
import { useWaterEvent } from './useWaterEvent';

/** A tank over what its fish tolerate: the changes that bring it down, before anything else. */
export function DownCard({
  tank,
  row,
  status,
}: {
  tank: Tank;
  row: WaterRow;
  status: WaterStatus;
}) {
  const format = useFormat();
  const now = useNow();
  const logEvent = useWaterEvent();
  const { over, cap } = status;
  if (over === null || cap === null) return null;
  const [first] = over.steps ?? [];
  const { nitrate } = status.latest;
  // A test of today counts before what all tests together suggest.
  const tested = nitrate?.day === now.day && nitrate.value === over.mgL;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Bring it down first</Text>
      <Text tone="due">
        {over.steps === null
          ? `${cap.groupName} tolerate about ${cap.mgL} mg/L, and the new water holds nearly as much: no change brings it under. Mix it with softer water, or let plants take it up.`
          : `${tested ? 'Today’s test read' : 'Nitrate is about'} ${formatMgL(over.mgL)} mg/L; ${cap.groupName} tolerate about ${cap.mgL}. All at once would be a shock: in steps, two days apart, and a test after the last.`}
      </Text>
      {over.steps ? (
        <Card label="Bring it down first">
          {over.steps.map(({ inDays, share, toMgL }, at) => (
            <ListRow
              key={inDays}
              first={at === 0}
              title={`${inDays === 0 ? 'Today' : format.day(addDays(now.day, inDays))}: ${format.quantity('volume', share * row.litres!)}, ${formatNumber(share * 100, 0)} %`}
              detail={`leaves about ${formatMgL(toMgL)} mg/L`}
              trail={
                inDays === 0 ? (
                  <Button
                    least="feeder"
                    label="Done"
                    spoken="The first change is done"
                    onPress={() =>
                      void logEvent(
                        tank.id,
                        { kind: 'changed', share: first!.share },
                        `Water of ${tank.name} is changed.`,
                      )
                    }
                  />
                ) : undefined
              }
            />
          ))}
        </Card>
      ) : null}
      <Text variant="small" tone="quiet">
        The same warmth and hardness as the tank, slowly. No more food than planned until it is
        down.
      </Text>
    </View>
  );
}
