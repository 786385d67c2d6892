import type { Tank } from '@open-larder/contract';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { TankSection } from '../draw/TankSection';
import { useNow, type AppData } from '../store';
import { isLit, sectionOf } from './section';

interface Props {
  tank: Tank;
  data: AppData;
  /** Fixed width; the width of what is around it where left out. */
  width?: number;
}

/** A tank with its fish, to scale, as it is lit now. */
export const TankPicture = memo(function TankPicture({ tank, data, width }: Props) {
  const now = useNow();
  const [room, setRoom] = useState(width ?? 0);
  const groups = data.groupsIn.get(tank.id) ?? [];
  const section = sectionOf(tank, groups, data.species, data.house);
  const counts = groups.map((group) => `${group.size.total} ${group.name}`);
  return (
    <View onLayout={width ? undefined : (event) => setRoom(event.nativeEvent.layout.width)}>
      {room > 0 ? (
        <TankSection
          {...section}
          label={`${tank.name}, seen from the side: ${counts.join(', ') || 'no fish yet'}`}
          width={Math.min(room, 560)}
          lit={isLit(tank, now.minutes)}
        />
      ) : null}
    </View>
  );
});
