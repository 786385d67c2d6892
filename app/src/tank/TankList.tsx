import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { waterLitres } from '@open-larder/core';
import type { Tank } from '@open-larder/contract';
import { useWords, type HouseData } from '../store';
import { SIZES, themed } from '../theme';
import { Text, lowerFirst } from '../ui';
import { NumberTag } from './NumberTag';
import { TankPicture } from './TankPicture';

interface Props {
  data: HouseData;
  selected?: string;
}

/** Tanks in walking order, each with its picture. */
export function TankList({ data, selected }: Props) {
  const styles = useStyles();
  return (
    <View style={styles.list}>
      {data.tanks
        .filter((tank) => !tank.archived)
        .map((tank) => (
          <TankLine key={tank.id} tank={tank} data={data} selected={tank.id === selected} />
        ))}
    </View>
  );
}

function TankLine({ tank, data, selected }: { tank: Tank; data: HouseData; selected: boolean }) {
  const styles = useStyles();
  const words = useWords();
  const router = useRouter();
  const groups = data.groups.filter((group) => group.tankId === tank.id && !group.archived);
  const litres = waterLitres(tank);
  const detail = [
    litres ? words.say('volume', litres.value) : null,
    words.say('temperature', tank.tempC),
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
          <Text look="subtitle">{tank.name}</Text>
        </View>
        <Text look="small" tone="quiet">
          {detail}
        </Text>
        <Text look="small">
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
  list: { gap: 12 },
  card: {
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
