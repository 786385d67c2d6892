import { CALIBRATED_FROM } from '@open-larder/core/forecasts';
import { useState } from 'react';
import { View } from 'react-native';
import { Misfits } from '../draw/Misfits';
import { useForecastRecords } from '../forecasts/useForecastRecord';
import {
  FORECAST_TITLES,
  offOf,
  formatCalibration,
  formatChange,
  formatHowRight,
  formatScored,
  type KindRecord,
} from '../forecasts/labels';
import { useFormat } from '../store';
import { Card, Disclosure, Empty, ListRow, Text, Waiting } from '../ui';

/** How right the forecasts were that came true, kind by kind. */
export function HowRightView() {
  const { data, error, refetch } = useForecastRecords();
  if (!data) return <Waiting of={{ error, refetch }} rows={4} height={96} />;
  if (data.kinds.length === 0 && data.pending === 0) {
    return (
      <Empty
        title="No forecast has come due yet"
        text="Test the water, measure fish, note bellies, hatchings and when a meal is gone: each is set against what was expected of it, and shown here."
      />
    );
  }
  return (
    <View style={{ gap: 16, maxWidth: 820 }}>
      <Text tone="quiet">
        Every forecast that has come due, against the range that was shown: nine in ten should lie
        in the shaded strip. Dots above the line were more than expected, dots below it less.
      </Text>
      {data.kinds.map((record) => (
        <KindCard key={record.kind} record={record} />
      ))}
      {data.pending > 0 ? (
        <Text role="status" tone="quiet">{`${data.pending} more are being scored.`}</Text>
      ) : null}
    </View>
  );
}

const LISTED = 12;

function KindCard({ record }: { record: KindRecord }) {
  const format = useFormat();
  const [width, setWidth] = useState(0);
  const { kind, newest } = record;
  const title = FORECAST_TITLES[kind];
  const change = formatChange(kind, record, format);
  const oldest = [...newest].reverse();
  return (
    <Card label={title}>
      <View style={{ padding: 12, gap: 8 }}>
        <Text variant="strong">{title}</Text>
        <Text>{`${formatHowRight(kind, record, format)}.`}</Text>
        <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
          {width > 0 ? (
            <Misfits
              label={`${record.inside} of ${record.count} lay within the shaded range`}
              width={width}
              off={oldest.map(offOf)}
            />
          ) : null}
        </View>
        {change ? (
          <Text variant="small" tone="quiet">
            {change}
          </Text>
        ) : null}
        <Text variant="small" tone="quiet">
          {formatCalibration(record, CALIBRATED_FROM)}
        </Text>
        <Disclosure title={newest.length > LISTED ? `The newest ${LISTED}` : 'See each'}>
          {newest.slice(0, LISTED).map((one, at) => (
            <ListRow
              key={`${one.about} ${one.day} ${at}`}
              first={at === 0}
              title={one.about}
              detail={formatScored(kind, one, format)}
            />
          ))}
        </Disclosure>
      </View>
    </Card>
  );
}
