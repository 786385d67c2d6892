import type { Group } from '@open-larder/contract';
import { type GrowthStatus } from '@open-larder/core/growth';
import { useState } from 'react';
import { View } from 'react-native';
import { SizeRow } from '../draw/SizeRow';
import { useFormat, type AppData } from '../store';
import { Text } from '../ui';

export function SizesCard({
  group,
  status,
  data,
}: {
  group: Group;
  status: GrowthStatus;
  data: AppData;
}) {
  const format = useFormat();
  const [width, setWidth] = useState(0);
  const last = status.samples.at(-1)!;
  const species = data.species.get(group.speciesKey);
  if (last.values.length < 2 || !species) return null;
  const { unit, fromBase } = format.scale('length');
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Each fish</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: 60 }}
      >
        {width > 0 ? (
          <SizeRow
            label={`Lengths: ${last.values.map((one) => format.quantity('length', one)).join(', ')}`}
            width={Math.min(width, 520)}
            shape={species.shape}
            lengths={last.values.map(fromBase)}
            cut={status.sorting ? fromBase(status.sorting.atCm) : null}
            unit={unit}
          />
        ) : null}
      </View>
    </View>
  );
}
