import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { Tank, WaterRow } from '@open-larder/contract';
import { refillFor } from '@open-larder/contract/refill';
import type { NextChange } from '@open-larder/core/water';
import { formatNumber } from '@open-larder/say';
import { api, useNow, useFormat } from '../store';
import { Button, Text } from '../ui';
import { useWaterEvent } from './useWaterEvent';
import { formatNext, formatRefill, formatWarning } from './labels';

/** Water of a tank that is to be changed today, in buckets, and what a test warns of. */
export function WaterWork({ tankId }: { tankId: string }) {
  const now = useNow();
  const { data: waters = [] } = api.useWatersQuery();
  const { data: tanks = [] } = api.useTanksQuery();
  const row = waters.find((one) => one.tankId === tankId);
  const tank = tanks.find(({ id }) => id === tankId);
  if (!row || !tank) return null;
  const urgent = (row.status?.warnings ?? []).filter(
    ({ kind }) => kind === 'ammonia' || kind === 'nitrite',
  );
  const planned = row.status?.next ?? null;
  const next = planned !== null && planned.day <= now.day && !planned.held ? planned : null;
  if (!next && urgent.length === 0) return null;
  return (
    <View style={{ padding: 12, gap: 8 }}>
      <Due row={row} tank={tank} next={next} urgent={urgent} />
      <Text variant="small" tone="quiet">
        Unplug heater and pump before hands go in, with a drip loop on every cable; siphon by hand
        or bulb, never by mouth; wash your hands afterwards.
      </Text>
    </View>
  );
}

type Warnings = NonNullable<WaterRow['status']>['warnings'];

function Due({
  row,
  tank,
  next,
  urgent,
}: {
  row: WaterRow;
  tank: Tank;
  next: NextChange | null;
  urgent: Warnings;
}) {
  const router = useRouter();
  const format = useFormat();
  const now = useNow();
  const logEvent = useWaterEvent();
  const lines =
    next && row.litres ? formatRefill(refillFor(tank, next.litres, row.litres), format) : [];
  return (
    <View role="group" aria-label={`Water of ${tank.name}`} style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
        <View style={{ flexGrow: 1, flexBasis: 180, minWidth: 0 }}>
          {next ? (
            <Text tone={next.late > 0 ? 'due' : 'ink'}>
              {`Change ${format.quantity('volume', next.litres)}, ${formatNumber(next.share * 100, 0)} %: ${formatNext(next, now.day, format)}`}
            </Text>
          ) : null}
        </View>
        <Button
          variant="bare"
          label="Open"
          spoken={`Open the water of ${tank.name}`}
          onPress={() => router.push(`/tanks/${tank.id}/water`)}
        />
        {next ? (
          <Button
            least="feeder"
            label="Changed"
            spoken={`Changed: ${tank.name}`}
            onPress={() =>
              void logEvent(
                tank.id,
                { kind: 'changed', share: next.share },
                `Water of ${tank.name} is changed.`,
              )
            }
          />
        ) : null}
      </View>
      {urgent.map((warning) => (
        <Text key={warning.kind} tone="due">
          {formatWarning(warning, format)}
        </Text>
      ))}
      {lines.map((line) => (
        <Text key={line} variant="small" tone="quiet">
          {line}
        </Text>
      ))}
    </View>
  );
}
