import type { WaterEventRow } from '@open-larder/contract';
import { addDays, daysBetween } from '@open-larder/core/round';
import { formatMgL } from '@open-larder/say';
import type { WaterStatus } from '@open-larder/core/water/status';
import { RecordNote } from '../forecasts/RecordNote';
import { useState } from 'react';
import { View } from 'react-native';
import { WaterRibbon } from '../draw/WaterRibbon';
import { useNow, useFormat } from '../store';
import { Text } from '../ui';

/** Days back that are drawn; more is in the history. */
const DRAWN_BACK = 42;

export function AheadCard({ status, events }: { status: WaterStatus; events: WaterEventRow[] }) {
  const now = useNow();
  const format = useFormat();
  const [width, setWidth] = useState(0);
  const at = (day: string) => daysBetween(now.day, day);
  const begins = status.past.length > 0 ? at(status.past[0]!.day) : 0;
  const odd = new Set(status.warnings.flatMap((one) => (one.kind === 'odd' ? [one.eventId] : [])));
  const tests = events.flatMap((event) =>
    event.kind === 'tested' && event.nitrate !== null && at(event.day) >= -DRAWN_BACK
      ? [{ day: at(event.day), mgL: event.nitrate, odd: odd.has(event.id) }]
      : [],
  );
  const planned = status.days.flatMap(({ before, after }, day) =>
    after < before - 1e-9 ? [day] : [],
  );
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Nitrate, eight weeks on</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: 216 }}
      >
        {width > 0 ? (
          <WaterRibbon
            label={`Nitrate today about ${formatMgL(status.days[0]!.before)} mg/L; in eight weeks ${formatMgL(status.days.at(-1)!.low)} to ${formatMgL(status.days.at(-1)!.high)}.`}
            width={width}
            past={status.past
              .filter(({ day }) => at(day) >= -DRAWN_BACK)
              .map(({ day, mgL }) => ({ day: at(day), mgL }))}
            ahead={status.days.map(({ before, after, low, high }, day) => ({
              day,
              mgL: before,
              after,
              low,
              high,
            }))}
            tests={tests}
            changes={[
              ...status.changes
                .map(({ day }) => at(day))
                .filter((day) => day >= -DRAWN_BACK && day < 0),
              ...planned,
            ]}
            capMgL={status.cap?.mgL ?? null}
            capSays={status.cap ? `what ${status.cap.groupName} tolerate` : ''}
            dates={[-28, 0, 28, 55]
              .filter((day) => day >= Math.min(0, begins))
              .map((day) => ({
                day,
                says: day === 0 ? 'today' : format.day(addDays(now.day, day)).replace(/^\w+ /, ''),
              }))}
          />
        ) : null}
      </View>
      <Text variant="small" tone="quiet">
        Dots are tests. Nitrate stays in the shaded band nine times in ten. Marks are water changes;
        broken ones are done.
      </Text>
      <RecordNote kind="nitrate" />
    </View>
  );
}
