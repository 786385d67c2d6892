import type { RoundView } from '@open-larder/contract';
import { memo } from 'react';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Text } from '../ui';

type Rest = RoundView['resting'][number];

/** Who gets nothing today, and why. */
export const Resting = memo(function Resting({
  resting,
  data,
}: Pick<RoundView, 'resting'> & { data: AppData }) {
  if (resting.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <Text variant="subtitle">Nothing today</Text>
      {resting.map((rest) => (
        <Text key={rest.groupId} tone="quiet">
          {rest.groupName}, {data.tanks.find((tank) => tank.id === rest.tankId)?.name}:{' '}
          {reason(rest)}
        </Text>
      ))}
    </View>
  );
});

function reason(rest: Rest): string {
  switch (rest.reason) {
    case 'fast':
      return 'no food planned today';
    case 'stage':
      return `${rest.stage}, not fed`;
    case 'brood':
      return 'spawning or guarding: no food for these days';
    case 'period':
      return 'no food in this part of the year';
    case 'empty':
      return 'no fish left in this group';
    case 'noDiet':
      return 'no serving is planned for this day';
  }
}
