import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { TankPicture } from '../tank/TankPicture';
import { Text, lowerFirst } from '../ui';

/** Beside the day when wide: one tank, large, with who lives in it and what it gets. */
export function RoundAside({
  data,
  tankId,
  children,
}: {
  data: AppData;
  tankId: string;
  children: ReactNode;
}) {
  const format = useFormat();
  const tank = data.tanks.find((one) => one.id === tankId);
  if (!tank) return null;
  const groups = data.groupsIn.get(tank.id) ?? [];
  return (
    <View style={{ gap: 12 }}>
      <TankPicture tank={tank} data={data} alive />
      <Text tone="quiet">
        {format.quantity('temperature', tank.tempC)} ·{' '}
        {groups.map((group) => `${group.size.total} ${lowerFirst(group.name)}`).join(', ')}
      </Text>
      {children}
    </View>
  );
}
