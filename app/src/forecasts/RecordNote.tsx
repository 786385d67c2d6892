import type { ForecastKind } from '@open-larder/core/forecasts';
import { useWords } from '../store';
import { Text } from '../ui';
import { useForecastRecord } from './useForecastRecord';
import { sayHowRight } from './words';

/** Beside a forecast: how right those of its kind were in this household. */
export function RecordNote({ kind }: { kind: ForecastKind }) {
  const words = useWords();
  const record = useForecastRecord(kind);
  if (record === undefined) return null;
  return (
    <Text look="small" tone="quiet">
      {record === null
        ? 'How right so far: none of these has come true yet.'
        : `How right so far: ${sayHowRight(kind, record, words)}.`}
    </Text>
  );
}
