import type { Tank, WaterRow } from '@open-larder/contract';
import { refillFor } from '@open-larder/contract/refill';
import type { WaterStatus } from '@open-larder/core/water';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Card, Sheet, Text, type FieldErrors } from '../ui';
import { NumberField } from '../ui/NumberField';
import { useWaterEvent } from './useWaterEvent';
import { formatNext, formatTriggerStep, formatRefill } from './labels';
import { WaterQuestions } from './WaterQuestions';

export function NextCard({
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
  const { next } = status;
  if (!tank.plan?.water) return <WaterQuestions tank={tank} />;
  if (next === null) return null;
  const lines = formatRefill(refillFor(tank, next.litres, row.litres!), format);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Next change</Text>
      <Card label="Next change">
        <View style={{ padding: 12, gap: 8 }}>
          <Text variant="strong" tone={next.late > 0 ? 'due' : 'ink'}>
            {`${format.quantity('volume', next.litres)}, ${formatNumber(next.share * 100, 0)} %: ${formatNext(next, now.day, format)}`}
          </Text>
          {lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          <View style={{ alignItems: 'flex-start' }}>
            <Button
              least="feeder"
              label="Done, as planned"
              onPress={() =>
                void logEvent(
                  tank.id,
                  { kind: 'changed', share: next.share },
                  `Water of ${tank.name} is changed.`,
                )
              }
            />
          </View>
          {row.trigger.map((step) => (
            <Text key={step.day + step.does} variant="small">
              {`${format.day(step.day)}: ${formatTriggerStep(step, row.litres, format)}`}
            </Text>
          ))}
          <Text variant="small" tone="quiet">
            Unplug heater and pump before hands go in; siphon by hand or bulb, never by mouth.
          </Text>
        </View>
      </Card>
    </View>
  );
}

export function ChangeSheet({
  kind,
  tank,
  litres,
  share: first,
  onClose,
}: {
  kind: 'changed' | 'filledUp';
  tank: Tank;
  litres: number;
  share: number;
  onClose: () => void;
}) {
  const format = useFormat();
  const logEvent = useWaterEvent();
  const [amount, setAmount] = useState<number | null>(first * litres);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const volume = format.scale('volume');
  const save = async () => {
    const wrong = await logEvent(
      tank.id,
      { kind, share: amount === null ? Number.NaN : amount / litres },
      kind === 'changed' ? `Water of ${tank.name} is changed.` : `${tank.name} is filled up.`,
    );
    if (wrong === null) onClose();
    else setFieldErrors(wrong);
  };
  return (
    <Sheet title={kind === 'changed' ? 'Water changed' : 'Filled up'} open onClose={onClose}>
      <Text tone="quiet">
        {kind === 'changed'
          ? 'How much water was taken out and replaced.'
          : 'What evaporated and was filled up: salts stay behind, so that soft water or rain is better for it than tap.'}
      </Text>
      <NumberField
        label="How much"
        unit={volume.unit}
        scale={volume}
        decimals={1}
        value={amount}
        onChange={setAmount}
        fieldError={fieldErrors.share}
        hint={`The tank holds ${format.quantity('volume', litres)}.`}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button least="feeder" variant="primary" label="Note it" onPress={() => save()} />
      </View>
    </Sheet>
  );
}
