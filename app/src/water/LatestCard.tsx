import { addDays } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import type { Reading } from '@open-larder/core/water/range';
import type { WaterStatus } from '@open-larder/core/water/status';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Card, ListRow, Text } from '../ui';
import { READING_WORDS } from './readings';
import { formatReading } from './labels';
import { Chart } from '../records/Chart';

export function LatestCard({ status }: { status: WaterStatus }) {
  const format = useFormat();
  const report = Object.entries(status.latest) as [Reading, { value: number; day: string }][];
  if (report.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Last tested</Text>
      <Card label="Last tested">
        {(Object.keys(READING_WORDS) as Reading[])
          .filter((of) => status.latest[of])
          .map((of, index) => (
            <ListRow
              key={of}
              first={index === 0}
              title={READING_WORDS[of]}
              detail={format.day(status.latest[of]!.day)}
              trail={
                <Text variant="strong">{formatReading(of, status.latest[of]!.value, format)}</Text>
              }
            />
          ))}
      </Card>
    </View>
  );
}

/** A tank without a grown filter: ammonia and nitrite in time. */
export function RawCard({ status }: { status: WaterStatus }) {
  const format = useFormat();
  const now = useNow();
  const { raw } = status;
  if (raw === null) return null;
  const hours = raw.hoursUntilConcern;
  const days = raw.days.filter((_, day) => day % 2 === 0);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Its filter</Text>
      <Text tone={hours < 48 ? 'due' : 'ink'}>
        {raw.ripeOn
          ? `The filter is mature by about ${format.day(raw.ripeOn)} if you feed as planned; ammonia and nitrite stay low from then on.`
          : 'No filter will take up the ammonia here within eight weeks.'}
        {Number.isFinite(hours)
          ? ` ${raw.ripeOn ? 'Until then' : 'Without one'} ammonia builds up ${hours > 240 ? 'after more than ten days' : `within ${hours < 48 ? `${formatNumber(hours, 0)} h` : `${formatNumber(hours / 24, 0)} days`}`}; ${
              raw.changeShare === null
                ? 'no daily change is enough: feed less'
                : `${formatNumber(Math.ceil(raw.changeShare * 100), 0)} % changed every day keeps it safe`
            }.`
          : ''}
      </Text>
      <Text variant="small" tone="quiet">
        {`At this pH and temperature ${formatNumber(raw.unionisedShare * 100, 2)} % of the ammonia is in its poisonous form. Test every other day until the filter is mature.`}
      </Text>
      <Chart
        view="lines"
        title="Ammonia and nitrite to come"
        detail="mg/L of nitrogen. Solid: ammonia. Dashed: nitrite."
        labels={days.map((_, at) =>
          at % 7 === 0 ? format.day(addDays(now.day, at * 2)).replace(/^\w+ /, '') : '',
        )}
        lines={[
          { values: days.map(({ tan }) => tan), variant: 'main' },
          { values: days.map(({ nitrite }) => nitrite), variant: 'dashed' },
        ]}
      />
    </View>
  );
}
