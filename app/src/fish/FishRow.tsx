import type { Group } from '@open-larder/contract';
import Check from 'lucide-react-native/icons/check';
import { View } from 'react-native';
import { formatSize } from '../group/labels';
import { useFormat, type AppData } from '../store';
import { themed, useColours } from '../theme';
import { FramedRow, ListRow } from '../ui';

interface Props {
  group: Group;
  data: AppData;
  first: boolean;
  /** Left out where nothing can be chosen. */
  chosen: boolean | undefined;
  onPress: () => void;
}

/** One group in the list of all fish. */
export function FishRow({ group, data, first, chosen, onPress }: Props) {
  const styles = useStyles();
  const colours = useColours();
  const format = useFormat();
  const tank = data.tanks.find((one) => one.id === group.tankId);
  const species = data.species.get(group.speciesKey);
  const lengthCm = data.house.groups.find(({ id }) => id === group.id)?.lengthCm;
  const detail = [
    tank?.name,
    formatSize(group.size),
    group.stage,
    group.lengthCm === null ? null : format.quantity('length', lengthCm ?? group.lengthCm),
    species?.scientific,
  ];
  return (
    <FramedRow first={first}>
      <ListRow
        first
        title={group.name}
        detail={detail.filter(Boolean).join(' · ')}
        selected={chosen}
        lead={
          chosen === undefined ? undefined : (
            <View style={[styles.box, chosen && styles.on]}>
              {chosen ? <Check size={18} color={colours.paper} strokeWidth={3} /> : null}
            </View>
          )
        }
        trail={chosen === undefined ? undefined : <View />}
        onPress={onPress}
      />
    </FramedRow>
  );
}

const useStyles = themed((c) => ({
  box: {
    width: 24,
    height: 24,
    borderRadius: 4,
    borderWidth: 2,
    borderColor: c.ink2,
    alignItems: 'center',
    justifyContent: 'center',
  },
  on: { backgroundColor: c.ink, borderColor: c.ink },
}));
