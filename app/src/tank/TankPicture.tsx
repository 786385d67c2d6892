import type { Tank } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import { TankSection } from '../draw/TankSection';
import { useIdleBeat } from '../draw/useIdleBeat';
import { useNow, type AppData } from '../store';
import { isLit, sectionOf } from './section';

interface Props {
  tank: Tank;
  data: AppData;
  /** Fixed width; the width of what is around it where left out. */
  width?: number;
  /** Looked at for a while: its fish drift a little, and each is the way to its group. */
  alive?: boolean;
}

/** A tank with its fish, to scale, as it is lit now. */
export const TankPicture = memo(function TankPicture({ tank, data, width, alive = false }: Props) {
  const now = useNow();
  const router = useRouter();
  const [room, setRoom] = useState(width ?? 0);
  const beat = useIdleBeat(alive);
  const { species, house, groupsIn } = data;
  const groups = useMemo(() => groupsIn.get(tank.id) ?? [], [groupsIn, tank.id]);
  const section = useMemo(
    () => sectionOf(tank, groups, species, house),
    [tank, groups, species, house],
  );
  const counts = groups.map((group) => `${group.size.total} ${group.name}`);
  return (
    <View onLayout={width ? undefined : (event) => setRoom(event.nativeEvent.layout.width)}>
      {room > 0 ? (
        <TankSection
          {...section}
          label={`${tank.name}, seen from the side: ${counts.join(', ') || 'no fish yet'}`}
          width={Math.min(room, 560)}
          lit={isLit(tank, now.minutes)}
          idle={beat}
          onGroup={alive ? (id) => router.push(`/groups/${id}`) : undefined}
        />
      ) : null}
    </View>
  );
});
