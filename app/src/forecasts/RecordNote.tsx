import type { ForecastKind } from '@open-larder/core/forecasts';
import { useFormat } from '../store';
import { Text } from '../ui';
import { useForecastRecord } from './useForecastRecord';
import { formatHowRight } from './labels';

/** Beside a forecast: how right those of its kind were in this household. */
export function RecordNote({ kind }: { kind: ForecastKind }) {
  const format = useFormat();
  const record = useForecastRecord(kind);
  if (record === undefined) return null;
  return (
    <Text variant="small" tone="quiet">
      {record === null
        ? 'How right so far: none of these has come due yet.'
        : `How right so far: ${formatHowRight(kind, record, format)}.`}
    </Text>
  );
}
