import type { LabelKind } from '@open-larder/contract';
import { View } from 'react-native';
import { useSavePrinted } from '../table/useSavePrinted';
import { Button, Text } from '../ui';
import { peopleApi } from './peopleApi';

const KINDS: readonly [LabelKind, string][] = [
  ['tanks', 'Tanks'],
  ['cultures', 'Cultures'],
  ['tubs', 'Tubs'],
];

/** Labels to stick on: a phone’s camera opens the page of what it is held against. */
export function LabelsCard() {
  const save = useSavePrinted();
  const [print] = peopleApi.usePrintQrLabelsMutation();
  return (
    <View style={{ gap: 12, alignItems: 'flex-start' }}>
      <Text variant="subtitle">Labels to stick on</Text>
      <Text tone="quiet">
        Point a phone at one, and it opens that tank, culture or brood. For a feeder it opens the
        place in the Round.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {KINDS.map(([of, label]) => (
          <Button
            key={of}
            label={label}
            spoken={`Print labels: ${label}`}
            onPress={async () => save(await print({ params: { of } }))}
          />
        ))}
      </View>
    </View>
  );
}
