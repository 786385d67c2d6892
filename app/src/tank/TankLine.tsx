import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { waterLitres } from '@open-larder/core/tank';
import type { Tank } from '@open-larder/contract';
import { useFormat, type AppData } from '../store';
import { SIZES, themed } from '../theme';
import { Text, lowerFirst } from '../ui';
import { NumberTag } from './NumberTag';
import { TankPicture } from './TankPicture';

interface Props {
  tank: Tank;
  data: AppData;
  selected: boolean;
}

/** One tank in the list, with its picture. */
export function TankLine({ tank, data, selected }: Props) {
  const styles = useStyles();
  const format = useFormat();
  const router = useRouter();
  const groups = data.groupsIn.get(tank.id) ?? [];
  const litres = waterLitres(tank);
  const detail = [
    tank.kind === 'display' ? null : tank.kind,
    litres ? format.quantity('volume', litres.value) : null,
    format.quantity('temperature', tank.tempC),
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <Pressable
      role="link"
      aria-label={`${tank.name}, ${detail}`}
      aria-current={selected ? 'page' : undefined}
      onPress={() => router.push(`/tanks/${tank.id}`)}
      style={[styles.card, selected && styles.selected]}
    >
      <View style={styles.words}>
        <View style={styles.title}>
          <NumberTag number={tank.walkOrder} />
          <Text variant="subtitle">{tank.name}</Text>
        </View>
        <Text variant="small" tone="quiet">
          {detail}
        </Text>
        <Text variant="small">
          {groups.length === 0
            ? 'No fish yet'
            : groups.map((group) => `${group.size.total} ${lowerFirst(group.name)}`).join(', ')}
        </Text>
      </View>
      <TankPicture tank={tank} data={data} width={132} />
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  card: {
    marginTop: 12,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    padding: 12,
    backgroundColor: c.paper,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
  },
  selected: { borderColor: c.ink, borderWidth: 2, padding: 11 },
  words: { flex: 1, minWidth: 0, gap: 4 },
  title: { flexDirection: 'row', alignItems: 'center', gap: 8 },
}));
